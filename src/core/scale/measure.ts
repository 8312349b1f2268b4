/** Measures a painted value scale in a photograph, from pixels to flags: on its worksheet, on a board, between corners, scanned. */
import { backgroundSpread } from '../capture/background-spread';
import { CALIBRATED, cornersOf, outsideIssues } from '../capture/capture-facts';
import type { Capture } from '../capture/capture-result';
import { type CaptureIssue, GATE, issue, refuses } from '../capture/gate';
import { clippedSteps, openFree } from '../capture/open-free';
import { type Expected, type KnownCard, openSheet } from '../capture/open-sheet';
import { surenessOf } from '../capture/sureness';
import { type FreeTarget, settledTarget, type Target } from '../capture/target';
import type { MeasureTools } from '../capture/tools';
import type { Triple } from '../colour/srgb';
import type { Photo } from '../raster/photo';
import type { SheetTag } from '../sheet/qr';
import { scaleLayout } from '../sheet/scale-layout';
import { compareScale, nothingRead, readSteps } from './compare';
import type { ScaleTerms } from './flags';
import { readChips } from './read-chips';
import { readRelativeStrip, readStrip } from './read-strip';
import type { ScaleResult } from './result';
import { gapsMissing, glareIssues, readCells } from './sheet-cells';

export interface ScaleRequest {
  readonly terms: ScaleTerms;
  readonly expected: Expected;
  /** A worksheet unless said. */
  readonly target?: Target;
  /** Kinds whose sheets may stand for the one that is expected; any with as many steps unless said. */
  readonly sheetKinds?: readonly string[];
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

/** The sheet of another kind, or of another number of steps. */
const otherSheet =
  ({ terms: { steps }, sheetKinds }: ScaleRequest) =>
  (tag: SheetTag): CaptureIssue | null =>
    (sheetKinds?.includes(tag.kind) ?? true) && tag.steps === steps
      ? null
      : issue(
          'wrong_sheet',
          1,
          `This is not the sheet for the ${steps} steps of this exercise: photograph the sheet that was printed for it.`,
        );

async function measureSheet(photo: Photo, request: ScaleRequest, tools: MeasureTools): Promise<ScaleResult> {
  const { terms } = request;
  const opened = await openSheet(
    photo,
    {
      layoutOn: (paper) =>
        scaleLayout(terms.steps, paper, { hue: request.hue ?? false, chipRows: request.chipRows ?? 0 }),
      expected: request.expected,
      check: otherSheet(request),
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
  const read = readSteps(readings, (lightness) => surenessOf(calibration, lightness), grain);
  issues.push(...outsideIssues(read.map((r) => r.sureness)));
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
  const read = readSteps(strip.readings, sureness, grain);
  const issues = [
    ...opened.issues,
    ...strip.issues,
    ...(relative ? clippedSteps(strip.readings) : outsideIssues(read.map((r) => r.sureness))),
  ];
  return compareScale(terms, read, { ...base, accepted: !refuses(issues), issues });
}

/**
 * Reads a photograph against a scale exercise. A photograph that can't be used comes back with
 * `accepted: false` and what to do; steps are given whenever the sheet was found and its greys could be fitted.
 * Throws BadCorners, WrongCard and BadFlat on what was given beside it; else only on programmers' errors.
 */
export async function measureScale(photo: Photo, request: ScaleRequest, tools: MeasureTools): Promise<ScaleResult> {
  tools.onStage?.('finding the sheet');
  const target = settledTarget(photo, request.target, tools);
  switch (target.kind) {
    case 'sheet':
      return measureSheet(photo, request, tools);
    default:
      return measureStrip(photo, request, target, tools);
  }
}
