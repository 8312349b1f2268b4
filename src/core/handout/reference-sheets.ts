/** Sheets of a prepared reference: in grey, squinted, in its tones with their numbers, and as outlines to trace. */
import { lightnessToGreyCode } from '../colour/grey-code';
import { tracedFrom } from '../formats/tones-svg';
import { type BoxMm, boxMm } from '../geometry/box';
import { squaredDistances } from '../raster/distance';
import { type Mark, type SheetDrawing, text } from '../sheet/drawing';
import { type PaperId, PAPERS } from '../sheet/paper';
import { PICTURE_MM } from '../sheet/picture-layout';
import type { TonePlane } from '../tones/compare-tones';
import { outlinesOf } from '../tones/tidy';
import { toneShapes } from '../tones/tones';

export interface ReferenceSheetWords {
  readonly title: string;
  readonly source: string;
  readonly licence: string;
  readonly note: string;
  /** The class's number of each tone, the lightest first. */
  readonly labels: readonly string[];
}

export interface ReferencePictures {
  /** PNG. */
  readonly grey: Uint8Array;
  readonly squinted: Uint8Array;
  readonly plane: TonePlane;
  /** Of each tone, L*, the lightest first. */
  readonly lightness: readonly number[];
  /** Share of each tone. */
  readonly shares: readonly number[];
}

const TOP_MM = 40;
/** Grey of outlines to trace: paint covers them. */
const TRACE_CODE = 150;
/** Shapes smaller than this share of the picture get no number. */
const LEAST_NUMBERED = 0.004;

/** The frame that the picture fills: as large as the one on the sheet that is painted. */
function frameFor(paper: PaperId, proportion: number): BoxMm {
  const { widthMm } = PAPERS[paper];
  const width = Math.min(PICTURE_MM.width, PICTURE_MM.height * proportion);
  return boxMm((widthMm - width) / 2, TOP_MM, width, width / proportion);
}

/** Where a number sits best in each shape: its place that is farthest from any outline. */
function numbersIn({ toneOf, width, height }: TonePlane): { x: number; y: number; tone: number }[] {
  const { shapes, shapeOf } = toneShapes(toneOf, width);
  const deep = squaredDistances(outlinesOf(toneOf, width), width, height);
  const best = shapes.map(() => ({ at: 0, deep: -1 }));
  shapeOf.forEach((s, i) => {
    const [x, y] = [i % width, Math.floor(i / width)];
    const rim = Math.min(x, y, width - 1 - x, height - 1 - y);
    const own = Math.min(deep[i] as number, rim * rim);
    const b = best[s];
    if (b && own > b.deep) [b.at, b.deep] = [i, own];
  });
  return shapes.flatMap((s, k) =>
    s.places / toneOf.length < LEAST_NUMBERED || s.tone === 0
      ? []
      : [{ x: ((best[k]?.at ?? 0) % width) / width, y: Math.floor((best[k]?.at ?? 0) / width) / height, tone: s.tone }],
  );
}

/** The pages of a reference: grey, squinted, in its tones, its outlines to trace. */
export function drawReferenceSheets(
  pictures: ReferencePictures,
  words: ReferenceSheetWords,
  paper: PaperId,
): SheetDrawing[] {
  const { plane, lightness, shares } = pictures;
  const size = PAPERS[paper];
  const frame = frameFor(paper, plane.width / plane.height);
  const bottom = frame.yMm + frame.heightMm;
  const placed = (tone: number) =>
    tracedFrom(plane, tone).map((ring) =>
      ring.map(
        ([x, y]) =>
          [frame.xMm + (x / plane.width) * frame.widthMm, frame.yMm + (y / plane.height) * frame.heightMm] as const,
      ),
    );
  const from = [words.source && `From: ${words.source}.`, words.licence && `May be used: ${words.licence}.`, words.note]
    .filter(Boolean)
    .join(' ');
  const page = (what: string, how: string, marks: readonly Mark[]): SheetDrawing => ({
    ...size,
    title: `${words.title}: ${what}`,
    marks: [
      text(words.title, frame.xMm, 20, 6, { weight: 'strong' }),
      text(what, frame.xMm, 27, 4, {}),
      text(how, frame.xMm, 33.5, 3.4, { wrapMm: frame.widthMm }),
      ...marks,
      { kind: 'outline', box: frame, code: TRACE_CODE, lineMm: 0.25 },
      text(from, frame.xMm, size.heightMm - 16, 3, { wrapMm: frame.widthMm, code: 60 }),
    ],
  });
  const wide = Math.min(16, (frame.widthMm + 4) / Math.max(1, lightness.length) - 4);
  const key = lightness.flatMap((l, k): Mark[] => {
    const x = frame.xMm + k * (wide + 4);
    return [
      { kind: 'fill', box: boxMm(x, bottom + 8, wide, 12), code: lightnessToGreyCode(l) },
      { kind: 'outline', box: boxMm(x, bottom + 8, wide, 12), code: TRACE_CODE, lineMm: 0.2 },
      text(words.labels[k] ?? String(k + 1), x + wide / 2, bottom + 25, 4, { align: 'centre', weight: 'strong' }),
      text(`${Math.round(100 * (shares[k] ?? 0))} %`, x + wide / 2, bottom + 30, 3, { align: 'centre' }),
    ];
  });
  const numbers = numbersIn(plane).map(({ x, y, tone }) =>
    text(
      words.labels[tone - 1] ?? String(tone),
      frame.xMm + x * frame.widthMm,
      frame.yMm + y * frame.heightMm + 1.2,
      3.4,
      { align: 'centre', code: (lightness[tone - 1] ?? 50) > 55 ? 0 : 255 },
    ),
  );
  const outlines = lightness
    .slice(1)
    .map((_, k): Mark => ({ kind: 'path', rings: placed(k + 2), code: TRACE_CODE, lineMm: 0.3 }));
  return [
    page('In grey', 'Its values as paint can reach them. Hold a grey against a shape until the seam goes.', [
      { kind: 'picture', box: frame, image: pictures.grey },
    ]),
    page('Squinted', 'What is left when the small shapes fuse. Begin with these.', [
      { kind: 'picture', box: frame, image: pictures.squinted },
    ]),
    page(`In ${lightness.length} tones`, 'The number in a shape is the step to paint it in.', [
      { kind: 'fill', box: frame, code: lightnessToGreyCode(lightness[0] ?? 100) },
      ...lightness
        .slice(1)
        .map((l, k): Mark => ({ kind: 'path', rings: placed(k + 2), code: lightnessToGreyCode(l), lineMm: 'fill' })),
      ...numbers,
      ...key,
    ]),
    page(
      'Outlines to trace',
      'As large as the frame on the sheet: rub graphite on the back, or hold both to a window.',
      outlines,
    ),
  ];
}
