/** Measures a painted value scale in a photograph, from pixels to flags: on its worksheet, on a board, between corners, scanned. */
import { surenessOf } from '../capture/calibrate';
import { explainSoftness } from '../capture/check-photo';
import { type CaptureIssue, GATE, issue, refuses } from '../capture/gate';
import { openBoard } from '../capture/open-board';
import { LEAST_SIDE, openMarked, RELATIVE_HALF_WIDTH } from '../capture/open-corners';
import { type Expected, type KnownCard, openSheet, type SheetTools } from '../capture/open-sheet';
import type { Point } from '../capture/plane';
import { seekMarkers } from '../capture/seek-markers';
import type { Triple } from '../colour/srgb';
import type { Photo } from '../raster/photo';
import { BRACKET_MARKER_IDS } from '../sheet/brackets';
import { PAPERS } from '../sheet/paper';
import type { SheetTag } from '../sheet/qr';
import { scaleLayout } from '../sheet/scale-layout';
import { backgroundSpread } from './background-spread';
import { CALIBRATED, cornersOf, outsideIssues } from './capture-facts';
import { compareScale, nothingRead, type ReadStep } from './compare';
import type { ScaleTerms } from './flags';
import type { CellReading } from './read-cell';
import { readChips } from './read-chips';
import { readRelativeStrip, readStrip, type StripReading } from './read-strip';
import type { Capture, ScaleResult } from './result';
import { gapsMissing, glareIssues, readCells } from './sheet-cells';

/** What the person says is in the picture. */
export type Target =
  | { readonly kind: 'sheet' }
  | { readonly kind: 'brackets'; readonly depthMm: number }
  /** Photo pixels, in the order top-left, top-right, bottom-right, bottom-left of the strip. */
  | { readonly kind: 'corners'; readonly corners: readonly Point[] }
  | { readonly kind: 'scan' }
  /** Markers are looked for; where there are none the whole picture is the strip. */
  | { readonly kind: 'unsaid' };

export interface ScaleRequest {
  readonly terms: ScaleTerms;
  readonly expected: Expected;
  /** A worksheet unless said. */
  readonly target?: Target;
  /** Whether the sheet carries coloured patches. */
  readonly hue?: boolean;
  /** Rows of places for chips of colour under the steps. */
  readonly chipRows?: number;
  /** Colours that the paints of the exercise predict for its steps, in reading order, L*a*b*. */
  readonly paints?: readonly Triple[];
  readonly card?: KnownCard;
  readonly flat?: Photo;
}

/** What the environment lends to the measurement, and who listens. */
export interface MeasureTools extends SheetTools {
  onStage?(stage: MeasureStage): void;
}

export const MEASURE_STAGES = ['finding the sheet', 'reading its greys', 'reading the steps', 'comparing'] as const;
export type MeasureStage = (typeof MEASURE_STAGES)[number];

/** Kinds whose sheet is a plain row of steps. */
const STEPPED = ['scale', 'monochrome-scale', 'colours-on-scale'];

/** The sheet of another kind, or of another number of steps. */
const otherSheet = (steps: number) => (tag: SheetTag): CaptureIssue | null =>
  STEPPED.includes(tag.kind) && tag.steps === steps
    ? null
    : issue('wrong_sheet', 1, `This is the sheet for ${tag.steps} steps, and the exercise has ${steps}: photograph the sheet of this exercise.`);

async function measureSheet(photo: Photo, request: ScaleRequest, tools: MeasureTools): Promise<ScaleResult> {
  const { terms } = request;
  const opened = await openSheet(
    photo,
    {
      layoutOn: (paper) => scaleLayout(terms.steps, paper, { hue: request.hue ?? false, chipRows: request.chipRows ?? 0 }),
      expected: request.expected,
      check: otherSheet(terms.steps),
      onFound: () => tools.onStage?.('reading its greys'),
      ...(request.card && { card: request.card }),
      ...(request.flat && { flat: request.flat }),
    },
    tools,
  );
  const { located, tag } = opened;
  const corners = located && cornersOf(located.plane, located.frame.widthMm, located.frame.heightMm);
  const base = { ...CALIBRATED, whiteBasis: request.card?.basis ?? 'nominal', target: located ? ('sheet' as const) : null, tag, corners } satisfies Partial<Capture>;
  if (opened.kind === 'refused') return nothingRead({ ...base, issues: opened.issues });
  const { layout, calibration, issues } = opened;

  tools.onStage?.('reading the steps');
  const readings = readCells(photo, calibration, layout);
  if (tag === null) {
    const missing = gapsMissing(photo, calibration, layout, readings);
    if (missing > GATE.wrong_sheet.limit)
      return nothingRead({ ...base, issues: [issue('wrong_sheet', missing, `The cells are not where a sheet of ${terms.steps} steps has them: photograph the sheet of this exercise.`)] });
  }
  if (!issues.some((i) => i.code === 'clipped')) issues.push(...glareIssues(readings, layout, calibration));

  tools.onStage?.('comparing');
  const grain = backgroundSpread(photo, calibration);
  const read = readings.map((reading): ReadStep => ({ reading, sureness: surenessOf(calibration, reading.lab[0]), grain: grain(reading.lab[0]) }));
  issues.push(...outsideIssues(read));
  const ofOneColour = request.hue === true && layout.chips.length === 0;
  const result = compareScale(terms, read, { ...base, colour: calibration.coloursMeasured ? 'measured' : 'assumed', accepted: !refuses(issues), issues }, { paints: request.paints ?? null, hue: ofOneColour });
  return layout.chips.length === 0 ? result : { ...result, chips: readChips(photo, calibration, layout, readings.map((r) => r.lab[0])) };
}

function measureBoard(photo: Photo, request: ScaleRequest, depthMm: number, tools: MeasureTools): ScaleResult {
  const { terms } = request;
  const opened = openBoard(photo, { depthMm, ...(request.card && { card: request.card }) }, tools.cv);
  const { board } = opened;
  const base = {
    ...CALIBRATED,
    target: board ? ('brackets' as const) : null,
    whiteBasis: request.card?.basis ?? 'nominal',
    sizeMm: board && { width: board.widthMm, height: board.heightMm, assumed: true },
    corners: board && cornersOf(board.plane, board.widthMm, board.heightMm),
  } satisfies Partial<Capture>;
  if (opened.kind === 'refused') return nothingRead({ ...base, issues: opened.issues });
  tools.onStage?.('reading the steps');
  const { calibration, issues } = opened;
  const strip = readStrip(photo, calibration, { xMm: 0, yMm: 0, widthMm: opened.board.widthMm, heightMm: opened.board.heightMm }, terms.steps, terms.order);
  const grain = backgroundSpread(photo, calibration);
  const read = strip.readings.map((reading): ReadStep => ({ reading, sureness: surenessOf(calibration, reading.lab[0]), grain: grain(reading.lab[0]) }));
  const all = [...issues, ...strip.issues, ...outsideIssues(read)];
  return compareScale(terms, read, { ...base, corners: cornersOf(calibration.plane, opened.board.widthMm, opened.board.heightMm), accepted: !refuses(all), issues: all });
}

/** Of what the camera itself does to a flat tone nothing is known without printed greys: a usual value. */
const USUAL_GRAIN = 0.6;

function clippedSteps(readings: readonly CellReading[]): CaptureIssue[] {
  const lost = readings.flatMap((r, i) => (r.clipped > 0.2 ? [i + 1] : []));
  return lost.length === 0 ? [] : [issue('clipped', lost.length / readings.length, `Step ${lost.join(', ')} is so bright that it is lost: tap on it to darken the picture, and take it once more.`)];
}

function measureMarked(photo: Photo, request: ScaleRequest, corners: readonly Point[], scan: boolean): ScaleResult {
  const { terms } = request;
  const soft = explainSoftness(photo);
  const base = {
    ...CALIBRATED,
    target: scan ? ('scan' as const) : ('corners' as const),
    mode: 'relative' as const,
    whiteBasis: 'ends' as const,
    colour: null,
    corners: corners.map((c) => ({ x: c.x / photo.width, y: c.y / photo.height })),
  };
  if (soft.length > 0) return nothingRead({ ...base, target: scan ? null : 'corners', issues: soft });
  // Nobody marked a scan: one too small to be a strip is a picture without one, not somebody's mistake.
  if (scan && Math.min(photo.width, photo.height) < LEAST_SIDE)
    return nothingRead({ ...base, target: null, issues: [issue('no_target', 0, 'No worksheet was found, and the picture is too small for a scanned strip: photograph the sheet with all four black corner squares.')] });
  const opened = openMarked(photo, corners, scan);
  const strip: StripReading = readRelativeStrip(photo, opened, terms.steps, terms.order, terms.ends);
  if (strip.issues.length > 0) return nothingRead({ ...base, target: scan ? null : 'corners', issues: strip.issues });
  const half = RELATIVE_HALF_WIDTH[opened.paper];
  const read = strip.readings.map((reading): ReadStep => ({ reading, sureness: { whole: half, own: half, extrapolated: false }, grain: USUAL_GRAIN }));
  const issues = clippedSteps(strip.readings);
  return compareScale(terms, read, { ...base, paper: opened.paper, accepted: !refuses(issues), issues });
}

const whole = ({ width, height }: Photo): Point[] => [{ x: 0, y: 0 }, { x: width, y: 0 }, { x: width, y: height }, { x: 0, y: height }];
const SHEET_IDS: readonly number[] = Object.values(PAPERS).flatMap((p) => [...p.markerIds]);

/** What is in a picture of which nothing was said. */
function seekTarget(photo: Photo, tools: MeasureTools): Target {
  const ids = seekMarkers(tools.cv, photo, [...SHEET_IDS, ...BRACKET_MARKER_IDS]).map((m) => m.id);
  if (ids.some((id) => SHEET_IDS.includes(id))) return { kind: 'sheet' };
  return ids.length > 0 ? { kind: 'brackets', depthMm: 0 } : { kind: 'scan' };
}

/**
 * Reads a photograph against a scale exercise. A photograph that can't be used comes back with
 * `accepted: false` and what to do; steps are given whenever the sheet was found and its greys could be fitted.
 * Throws BadCorners, WrongCard and BadFlat on what was given beside it; else only on programmers' errors.
 */
export async function measureScale(photo: Photo, request: ScaleRequest, tools: MeasureTools): Promise<ScaleResult> {
  tools.onStage?.('finding the sheet');
  const said = request.target ?? { kind: 'sheet' };
  const target = said.kind === 'unsaid' ? seekTarget(photo, tools) : said;
  switch (target.kind) {
    case 'sheet':
      return measureSheet(photo, request, tools);
    case 'brackets':
      return measureBoard(photo, request, target.depthMm, tools);
    case 'corners':
      return measureMarked(photo, request, target.corners, false);
    case 'scan':
    case 'unsaid':
      return measureMarked(photo, request, whole(photo), true);
  }
}

