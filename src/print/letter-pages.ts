/** A letter on paper: the picture, what works, what to do next, and the numbers in small print; as many pages as its words take. */
import type { LetterAsText, LetterSentence } from '@/core/critique/letter-text';
import { drawnMark, type Mark as PictureMark, type MarkedPicture, type Place } from '@/core/critique/marks';
import { boxMm } from '@/core/geometry/box';
import { type Mark, type SheetDrawing, text } from '@/core/sheet/drawing';
import { type PaperId, PAPERS } from '@/core/sheet/paper';
import { breakLines, LEADING } from './fonts';
import type { Weight } from './shipped-font';
import { runsFromRight } from './visual-order';

/** PNG or JPEG, and its proportion. */
export interface LetterPicture {
  readonly image: Uint8Array;
  readonly widthOverHeight: number;
}

/** All that stands in a letter, in the words that the student reads. */
export interface LetterWords extends LetterAsText {
  readonly paper: PaperId;
  readonly numbers: readonly { readonly of: string; readonly lines: readonly string[] }[];
  /** What was drawn, in its order, each on its picture and with the words beside it. */
  readonly marks: readonly {
    readonly on: MarkedPicture;
    readonly mark: Pick<PictureMark, 'kind' | 'points'>;
    readonly number: number;
    readonly words: string;
  }[];
  /** What was painted; null where there is no picture. */
  readonly picture: LetterPicture | null;
  /** What it is painted from; null where nothing was drawn on that. */
  readonly reference: LetterPicture | null;
  /** The same as the teacher corrected it; null where nothing was. */
  readonly correction: LetterPicture | null;
}

const MARGIN_MM = 19;
const FOOT_MM = 8;
const PICTURE = { widthMm: 110, heightMm: 78 } as const;
/** Between a painting and its correction. */
const BESIDE_MM = 6;
const CAPTIONS = ['Your painting', 'A correction by your teacher, not your painting'] as const;
const SIZES = { title: 5.6, text: 3.9, small: 2.9 } as const;
/** A line on black and white paper that sets the first thing apart. */
const RULE_MM = 0.7;

/** A paragraph of the letter. */
interface Paragraph {
  readonly words: string;
  readonly sizeMm: number;
  readonly weight: Weight;
  readonly indentMm: number;
  /** Room above it. */
  readonly aboveMm: number;
  /** Whether a line stands beside it. */
  readonly ruled: boolean;
  /** Whether it may not stand alone at the foot of a page. */
  readonly isHeading: boolean;
}

const paragraph = (words: string, more: Partial<Paragraph> = {}): Paragraph => ({
  ...{ words, sizeMm: SIZES.text, weight: 'regular', indentMm: 0, aboveMm: 2.2, ruled: false, isHeading: false },
  ...more,
});
const heading = (words: string): Paragraph =>
  paragraph(words, { weight: 'strong', aboveMm: 4.5, isHeading: true, sizeMm: SIZES.text });
const joined = ({ say, action }: LetterSentence): string => (action === null ? say : `${say} ${action}`);

function paragraphsOf(letter: LetterWords): Paragraph[] {
  const { verdict, works, first, next, later, word, numbers } = letter;
  return [
    paragraph(verdict, { weight: 'strong', aboveMm: 5 }),
    ...(works.length > 0 ? [paragraph(works.join(' '))] : []),
    ...(first ? [heading('First of all'), paragraph(joined(first), { indentMm: 4, ruled: true, aboveMm: 1.5 })] : []),
    ...(next.length > 0 ? [heading('When that is done')] : []),
    ...next.map((item, k) => paragraph(`${k + 1}.  ${joined(item)}`, { indentMm: 4 })),
    ...(later.length > 0 ? [heading('And smaller things')] : []),
    ...later.map((item) => paragraph(joined(item), { indentMm: 4 })),
    ...(word === '' ? [] : word.split('\n').map((line, k) => paragraph(line, { aboveMm: k === 0 ? 4.5 : 0 }))),
    ...(numbers.length > 0 ? [heading('The numbers behind it')] : []),
    ...numbers.map(({ of, lines }) => paragraph([of, ...lines].join('\n'), { sizeMm: SIZES.small, aboveMm: 1.6 })),
  ];
}

/** Lines of a page from the top down, and where the next one goes. */
interface Page {
  readonly marks: Mark[];
  yMm: number;
}

/** A mark on the picture, dark on light, so that it is seen in black and white on any ground. */
function marksOn(
  { xMm, yMm, widthMm }: { readonly xMm: number; readonly yMm: number; readonly widthMm: number },
  { mark, number }: LetterWords['marks'][number],
  tall: number,
): Mark[] {
  const { strokes, label } = drawnMark(mark, tall);
  const on = ([x, y]: Place): [number, number] => [xMm + x * widthMm, yMm + y * widthMm];
  const [x, y] = on(label);
  const lines = strokes.map(({ points, closed }) => [...points, ...(closed ? points.slice(0, 1) : [])].map(on));
  const stroke = (code: number, lineMm: number) =>
    lines.map((points): Mark => ({ kind: 'stroke', points, code, lineMm }));
  return [
    ...stroke(255, 1.1),
    ...stroke(0, 0.5),
    {
      kind: 'stroke',
      points: [
        [x, y],
        [x, y],
      ],
      code: 0,
      lineMm: 4.6,
    },
    {
      kind: 'stroke',
      points: [
        [x, y],
        [x, y],
      ],
      code: 255,
      lineMm: 4.2,
    },
    text(String(number), x, y + 0.36 * SIZES.small, SIZES.small, { align: 'centre', weight: 'strong' }),
  ];
}

class Flow {
  readonly pages: Page[] = [];
  readonly #width: number;
  readonly #foot: number;

  constructor(private readonly paper: PaperId) {
    const { widthMm, heightMm } = PAPERS[paper];
    this.#width = widthMm - 2 * MARGIN_MM;
    this.#foot = heightMm - MARGIN_MM - FOOT_MM;
    this.turn();
  }

  get page(): Page {
    const last = this.pages.at(-1);
    if (!last) throw new RangeError('A letter has a page.');
    return last;
  }

  turn(): void {
    this.pages.push({ marks: [], yMm: MARGIN_MM });
  }

  /** A painting with what was drawn on it, and beside it the correction where there is one. */
  picture(painting: LetterPicture, drawn: LetterWords['marks'], correction: LetterPicture | null): void {
    const most = correction ? (this.#width - BESIDE_MM) / 2 : PICTURE.widthMm;
    const widthMm = Math.min(most, PICTURE.heightMm * painting.widthOverHeight);
    const heightMm = widthMm / painting.widthOverHeight;
    if (this.page.yMm + heightMm + 2 * SIZES.small > this.#foot) this.turn();
    const yMm = this.page.yMm + 3;
    const { marks } = this.page;
    [painting, ...(correction ? [correction] : [])].forEach(({ image }, k) => {
      const xMm = MARGIN_MM + k * (widthMm + BESIDE_MM);
      marks.push({ kind: 'picture', image, box: boxMm(xMm, yMm, widthMm, heightMm) });
      if (correction) marks.push(text(CAPTIONS[k] ?? '', xMm, yMm + heightMm + 1.5 * SIZES.small, SIZES.small));
    });
    for (const own of drawn) marks.push(...marksOn({ xMm: MARGIN_MM, yMm, widthMm }, own, heightMm / widthMm));
    this.page.yMm = yMm + heightMm + 1 + (correction ? 2 * SIZES.small : 0);
  }

  put({ words, sizeMm, weight, indentMm, aboveMm, ruled, isHeading }: Paragraph): void {
    const lines = breakLines(words, weight, sizeMm, this.#width - indentMm);
    const step = sizeMm * LEADING;
    if (this.page.yMm > MARGIN_MM) this.page.yMm += aboveMm;
    // A heading keeps company with the lines below it.
    if (this.page.yMm + (isHeading ? 4 : 1) * step > this.#foot) this.turn();
    const fromRight = runsFromRight(words);
    for (const line of lines) {
      if (this.page.yMm + step > this.#foot) this.turn();
      const { page } = this;
      const x = fromRight ? MARGIN_MM + this.#width : MARGIN_MM + indentMm;
      const align = fromRight ? ('right' as const) : ('left' as const);
      page.marks.push(text(line, x, page.yMm + sizeMm, sizeMm, { weight, align }));
      if (ruled) page.marks.push({ kind: 'fill', box: boxMm(MARGIN_MM, page.yMm, RULE_MM, step), code: 0 });
      page.yMm += step;
    }
  }

  /** The pages with their numbers at the foot. */
  sheets(title: string): SheetDrawing[] {
    const { widthMm, heightMm } = PAPERS[this.paper];
    return this.pages.map(({ marks }, k) => {
      const foot = text(`${title} · ${k + 1} of ${this.pages.length}`, MARGIN_MM, heightMm - MARGIN_MM, SIZES.small);
      return { widthMm, heightMm, title, marks: [...marks, foot] };
    });
  }
}

/** The pages of a letter: text goes on to the next one wherever it ends, and nothing is left out. */
export function letterPages(letter: LetterWords): SheetDrawing[] {
  const { paper, student, className, exercise, date, picture, correction, reference, marks } = letter;
  const flow = new Flow(paper);
  flow.put(paragraph(exercise, { sizeMm: SIZES.title, weight: 'strong', aboveMm: 0 }));
  flow.put(paragraph(`For ${student}, ${className}, ${date}`, { aboveMm: 1 }));
  const block = (on: MarkedPicture, own: LetterPicture | null, beside: LetterPicture | null) => {
    if (!own) return;
    const drawn = marks.filter((m) => m.on === on);
    flow.picture(own, drawn, beside);
    for (const { number, words } of drawn)
      flow.put(paragraph(`${number}  ${words}`, { sizeMm: SIZES.small, aboveMm: 1 }));
  };
  block('painting', picture, correction);
  block('reference', reference, null);
  for (const own of paragraphsOf(letter)) flow.put(own);
  return flow.sheets(`${exercise}, ${student}`);
}
