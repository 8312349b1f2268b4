/** What all kinds have in common that are painted as a picture. */
import { USUAL_JUDGING } from '../exercise/judging';
import { keyedEnds, toneTargets } from '../exercise/key';
import { USUAL_MATERIALS } from '../exercise/materials';
import { MEDIA, type MediumId } from '../exercise/media';
import type { PictureTerms } from '../exercise/terms';
import type { SheetWords } from '../sheet/drawing';
import { drawPictureSheet } from '../sheet/picture-drawing';
import { type PictureLayout, pictureLayout } from '../sheet/picture-layout';
import { FRAMINGS, type Kind, type ValueArea } from './kind';

/** Values that stand for a picture whose number of them nobody said. */
const USUAL_VALUES = 5;

const GROUND: Record<PictureTerms['judging']['ground'], readonly string[]> = {
  covered: ['Cover the ground: none of it shows when you are done.'],
  'for-a-step': ['The ground may stand for one value: decide which before you begin.'],
  'for-the-shadow': ['The ground may stand for the shadow: leave it bare there on purpose, not by chance.'],
};

/** Terms that every picture begins with. */
export const usualPicture = (medium: MediumId) => ({
  paper: 'a4' as const,
  medium,
  ends: { ...MEDIA[medium].ends },
  toleranceSteps: 0.5,
  materials: USUAL_MATERIALS,
  judging: { ...USUAL_JUDGING },
});

/** Lines of a picture's work, with what its ground and its frame ask for. The last line is the photograph. */
export function pictureWork({ judging }: PictureTerms, lines: readonly string[]): string[] {
  const frame = judging.blackFrame ? ['Paint the frame between the two lines first, in the darkest paint, solid.'] : [];
  return [...frame, ...lines.slice(0, -1), ...GROUND[judging.ground], ...lines.slice(-1)];
}

/** Shapes of a frame of some width: large, middling, small. */
const shapesIn = (frameMm: number): number[] => [frameMm / 3, frameMm / 8, frameMm / 20];

interface Shape<T> {
  readonly layout?: (terms: T) => PictureLayout;
  readonly captions?: (terms: T) => readonly string[];
  /** How many values it asks for. */
  readonly count?: (terms: T) => number;
}

/** The parts of a kind that follow from its frames alone. A picture is taken to use its values in equal parts. */
export function painted<T extends PictureTerms>({
  layout = ({ paper, judging }) => pictureLayout(paper, { hue: judging.colourPass }),
  captions = () => [],
  count = () => USUAL_VALUES,
}: Shape<T> = {}) {
  const values = (terms: T) =>
    toneTargets(count(terms), keyedEnds(terms.ends, terms.judging.key), terms.judging.pushPercent);
  return {
    framings: () => FRAMINGS,
    sheet: 'frame',
    looks: false,
    alwaysOnPaper: false,
    values,
    numbered: () => null,
    layout,
    draw(terms: T, { title, subtitle, name, exercise, student }: SheetWords) {
      const own = layout(terms);
      const tag = { kind: terms.kind, steps: own.cells.length, paper: terms.paper, exercise, student };
      const { blackFrame } = terms.judging;
      return drawPictureSheet(own, { title, subtitle, name, tag, captions: captions(terms), blackFrame });
    },
    widths: (terms: T) => layout(terms).cells.flatMap((c) => shapesIn(Math.min(c.widthMm, c.heightMm))),
    areas(terms: T): ValueArea[] {
      const { cells, dabs } = layout(terms);
      const areaOf = (boxes: typeof cells) => boxes.reduce((sum, b) => sum + b.widthMm * b.heightMm, 0);
      const wanted = values(terms);
      const each = (areaOf(cells) + areaOf(dabs)) / wanted.length;
      return wanted.map((lightness) => ({ lightness, areaMm2: each }));
    },
    row: () => ({ order: 'light-first', work: 'ends-first', hue: null }),
    wanted: () => null,
  } satisfies Partial<Kind<T>>;
}
