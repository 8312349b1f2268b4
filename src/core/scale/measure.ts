/** Measures a painted value scale in a photograph, from pixels to flags: on its worksheet, on a board, between corners, scanned. */
import { surenessOf } from '../capture/calibrate';
import { type CaptureIssue, GATE, issue, refuses } from '../capture/gate';
import { type Expected, type KnownCard, openSheet, type SheetTools } from '../capture/open-sheet';
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
import { clippedSteps, type FreeTarget, openFree } from './open-free';
import { readChips } from './read-chips';
import { readRelativeStrip, readStrip } from './read-strip';
import type { Capture, ScaleResult } from './result';
import { gapsMissing, glareIssues, readCells } from './sheet-cells';

/** What the person says is in the picture. */
export type Target =
  | { readonly kind: 'sheet' }
  | FreeTarget
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
  /** Length on paper of the line that each corner piece calls 100 mm, where somebody measured it. */
  readonly lineMm?: number;
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
const otherSheet =
  (steps: number) =>
  (tag: SheetTag): CaptureIssue | null =>
    STEPPED.includes(tag.kind) && tag.steps === steps
      ? null
      : issue(
          'wrong_sheet',
          1,
          `This is the sheet for ${tag.steps} steps, and the exercise has ${steps}: photograph the sheet of this exercise.`,
        );

async function measureSheet(photo: Photo, request: ScaleRequest, tools: MeasureTools): Promise<ScaleResult> {
  const { terms } = request;
  const opened = await openSheet(
    photo,
    {
      layoutOn: (paper) =>
        scaleLayout(terms.steps, paper, { hue: request.hue ?? false, chipRows: request.chipRows ?? 0 }),
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
  const base = {
    ...CALIBRATED,
    whiteBasis: request.card?.basis ?? 'nominal',
    target: located ? ('sheet' as const) : null,
    tag,
    corners,
  } satisfies Partial<Capture>;
  if (opened.kind === 'refused') return nothingRead({ ...base, issues: opened.issues });
  const { layout, calibration, issues } = opened;

  tools.onStage?.('reading the steps');
  const readings = readCells(photo, calibration, layout);
  if (tag === null) {
    const missing = gapsMissing(photo, calibration, layout, readings);
    if (missing > GATE.wrong_sheet.limit)
      return nothingRead({
        ...base,
        issues: [
          issue(
            'wrong_sheet',
            missing,
            `The cells are not where a sheet of ${terms.steps} steps has them: photograph the sheet of this exercise.`,
          ),
        ],
      });
  }
  if (!issues.some((i) => i.code === 'clipped')) issues.push(...glareIssues(readings, layout, calibration));

  tools.onStage?.('comparing');
  const grain = backgroundSpread(photo, calibration);
  const read = readings.map((reading): ReadStep => ({
    reading,
    sureness: surenessOf(calibration, reading.lab[0]),
    grain: grain(reading.lab[0]),
  }));
  issues.push(...outsideIssues(read));
  const ofOneColour = request.hue === true && layout.chips.length === 0;
  const result = compareScale(
    terms,
    read,
    { ...base, colour: calibration.coloursMeasured ? 'measured' : 'assumed', accepted: !refuses(issues), issues },
    { paints: request.paints ?? null, hue: ofOneColour },
  );
  return layout.chips.length === 0
    ? result
    : {
        ...result,
        chips: readChips(
          photo,
          calibration,
          layout,
          readings.map((r) => r.lab[0]),
        ),
      };
}

/** A strip that somebody painted without a sheet. */
function measureStrip(
  photo: Photo,
  { terms, card, lineMm }: ScaleRequest,
  target: FreeTarget,
  tools: MeasureTools,
): ScaleResult {
  const opened = openFree(photo, target, { ...(card && { card }), ...(lineMm !== undefined && { lineMm }) }, tools.cv);
  if (opened.kind === 'refused') return nothingRead({ ...opened.base, issues: opened.issues });
  tools.onStage?.('reading the steps');
  const { base, relative, sureness, grain } = opened;
  const strip = relative
    ? readRelativeStrip(photo, opened, terms.steps, terms.order, terms.ends)
    : readStrip(photo, opened.calibration, opened.box, terms.steps, terms.order);
  if (relative && strip.issues.length > 0)
    return nothingRead({ ...base, target: target.kind === 'scan' ? null : base.target, issues: strip.issues });
  const read = strip.readings.map((reading): ReadStep => ({
    reading,
    sureness: sureness(reading.lab[0]),
    grain: grain(reading.lab[0]),
  }));
  const issues = [
    ...opened.issues,
    ...strip.issues,
    ...(relative ? clippedSteps(strip.readings) : outsideIssues(read)),
  ];
  return compareScale(terms, read, { ...base, accepted: !refuses(issues), issues });
}

const SHEET_IDS: readonly number[] = Object.values(PAPERS).flatMap((p) => [...p.markerIds]);

/** What is in a picture of which nothing was said. */
export function seekTarget(photo: Photo, tools: MeasureTools): Target {
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
    case 'unsaid':
      return measureStrip(photo, request, { kind: 'scan' }, tools);
    default:
      return measureStrip(photo, request, target, tools);
  }
}
