/** The chart to print and read, and the finder that comes of it: bars that run off a cut edge, to be held against a shape. */
import { boxMm, type BoxMm } from '../geometry/box';
import { type Mark, type SheetDrawing, text } from '../sheet/drawing';
import { type PaperId, PAPERS } from '../sheet/paper';
import { type Bar, CHART_CODES } from './printer-curve';

const MARGIN_MM = 20;
const PATCH_MM = 20;
const ACROSS = 6;
const PITCH_X_MM = 28;
const PITCH_Y_MM = 32;
const TOP_MM = 50;

/** Where the patches of the chart stand, in the order of their codes. */
export const chartPatches = (): readonly (BoxMm & { readonly code: number })[] =>
  CHART_CODES.map((code, i) => ({
    code,
    ...boxMm(MARGIN_MM + (i % ACROSS) * PITCH_X_MM, TOP_MM + Math.floor(i / ACROSS) * PITCH_Y_MM, PATCH_MM, PATCH_MM),
  }));

/** The chart of a printer: patches of known codes to be read by an instrument or against a card. */
export function drawChart(paper: PaperId): SheetDrawing {
  const { widthMm, heightMm } = PAPERS[paper];
  return {
    widthMm,
    heightMm,
    title: 'Printer chart',
    marks: [
      text('Printer chart', MARGIN_MM, 26, 6, { weight: 'strong' }),
      text(
        'Print at full size on the paper and with the settings of your sheets. Let it dry, then read the middle of each patch.',
        MARGIN_MM,
        34,
        3.6,
        { wrapMm: widthMm - 2 * MARGIN_MM },
      ),
      ...chartPatches().flatMap((p): Mark[] => [
        { kind: 'fill', box: p, code: p.code },
        text(`code ${p.code}`, p.xMm + PATCH_MM / 2, p.yMm + PATCH_MM + 5, 3.2, { align: 'centre' }),
      ]),
    ],
  };
}

const BAR_HEIGHT_MM = 46;
const BAR_TOP_MM = 60;

/** Where the bars of a finder stand. */
export function finderBars(count: number, paper: PaperId): readonly BoxMm[] {
  const width = Math.min(18, (PAPERS[paper].widthMm - 2 * MARGIN_MM) / count);
  return Array.from({ length: count }, (_, i) => boxMm(MARGIN_MM + i * width, BAR_TOP_MM, width, BAR_HEIGHT_MM));
}

/** What was read of a printed bar less its target, L*; null before it was read. */
export type BarErrors = readonly (number | null)[];

/**
 * The finder. Labels are the class's own. Bars run past the cut line, so that paper is cut through ink and no
 * white edge stands between the bar and the paint.
 */
export function drawFinder(
  bars: readonly Bar[],
  labels: readonly string[],
  errors: BarErrors,
  paper: PaperId,
): SheetDrawing {
  const { widthMm, heightMm } = PAPERS[paper];
  const places = finderBars(bars.length, paper);
  const cut = BAR_TOP_MM + 8;
  const marks: Mark[] = [
    text('Value finder', MARGIN_MM, 26, 6, { weight: 'strong' }),
    text(
      'Cut along the line, through the bars. Hold the cut edge against a shape, squint, and find the bar whose seam goes.',
      MARGIN_MM,
      34,
      3.6,
      { wrapMm: widthMm - 2 * MARGIN_MM },
    ),
    ...places.flatMap((box, i): Mark[] => {
      const bar = bars[i];
      if (!bar) return [];
      const error = errors[i];
      const note = !bar.reachable
        ? 'out of reach'
        : error === null || error === undefined
          ? ''
          : `${error >= 0 ? '+' : '-'}${Math.abs(error).toFixed(1)}`;
      return [
        { kind: 'fill', box, code: bar.code },
        text(labels[i] ?? '', box.xMm + box.widthMm / 2, box.yMm + BAR_HEIGHT_MM + 6, 4, {
          align: 'centre',
          weight: 'strong',
        }),
        text(note, box.xMm + box.widthMm / 2, box.yMm + BAR_HEIGHT_MM + 11, 2.6, {
          align: 'centre',
          wrapMm: box.widthMm,
        }),
      ];
    }),
    {
      kind: 'path',
      rings: [
        [
          [MARGIN_MM - 8, cut],
          [MARGIN_MM - 2, cut],
        ],
        [
          [widthMm - MARGIN_MM + 2, cut],
          [widthMm - MARGIN_MM + 8, cut],
        ],
      ],
      code: 0,
      lineMm: 0.3,
    },
    text('cut here', MARGIN_MM - 8, cut - 2, 2.8),
    text(
      'Under each bar: how far (L*) this printer’s bar lies from its value, as it was last read.',
      MARGIN_MM,
      BAR_TOP_MM + BAR_HEIGHT_MM + 20,
      3.2,
    ),
  ];
  return { widthMm, heightMm, title: 'Value finder', marks };
}
