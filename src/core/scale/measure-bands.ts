/** Measures a banded picture: each band is a step, read where the print says it lies, or found where it was drawn by hand. */
import { backgroundSpread } from '../capture/background-spread';
import { type Calibration } from '../capture/calibration';
import { CALIBRATED, cornersOf, outsideIssues } from '../capture/capture-facts';
import type { Capture } from '../capture/capture-result';
import { photoBox } from '../capture/check-photo';
import { type CaptureIssue, GATE, issue, refuses } from '../capture/gate';
import { anchored } from '../capture/open-corners';
import { clippedSteps, type OpenedFree, openFree } from '../capture/open-free';
import { type Expected, type KnownCard, openSheet } from '../capture/open-sheet';
import { patchwork } from '../capture/patchwork';
import { surenessOf } from '../capture/sureness';
import { type FreeTarget, settledTarget, type Target } from '../capture/target';
import type { MeasureTools } from '../capture/tools';
import { lightnessToLuminance } from '../colour/lab';
import type { Triple } from '../colour/srgb';
import type { Ends } from '../exercise/scale';
import type { TermsOf } from '../exercise/terms';
import type { BoxMm } from '../geometry/box';
import type { Photo } from '../raster/photo';
import { pictureLayout } from '../sheet/picture-layout';
import { type BandReadings, findDrawnIn, readBands } from './band-cells';
import { compareScale, nothingRead, readSteps } from './compare';
import { LIMITS, type ScaleTerms, targetsFor } from './flags';
import type { CellReading } from './read-cell';
import type { ScaleResult } from './result';
import { shineStrength } from './shine';

export interface BandsRequest {
  readonly terms: TermsOf<'bands'>;
  readonly expected: Expected;
  /** A worksheet unless said. */
  readonly target?: Target;
  readonly card?: KnownCard;
  /** Length on paper of the line that each corner piece calls 100 mm, where somebody measured it. */
  readonly lineMm?: number;
  /** Colours that the paints of the exercise predict for its steps, in reading order, L*a*b*. */
  readonly paints?: readonly Triple[];
  /** How light the pure colour of bands in one colour is; left out for greys and where the paints don't tell. */
  readonly pureLightness?: number;
}

/** What the readings are compared with: through the pure colour's place, where the bands are of one colour. */
function bandScale({ terms, pureLightness }: BandsRequest): ScaleTerms {
  if (terms.hue === null || pureLightness === undefined) return terms;
  return { ...terms, pure: { lightness: pureLightness, at: terms.pureAt } };
}

const expectation = ({ terms, paints }: BandsRequest) => ({ paints: paints ?? null, hue: terms.hue !== null });

/** The bands' own lightnesses, lightest first. */
export function lightestFirst(terms: ScaleTerms): readonly number[] {
  const inOrder = targetsFor({ ...terms, anchor: terms.anchor === 'own' ? 'medium' : terms.anchor }, []);
  return terms.order === 'light-first' ? inOrder : [...inOrder].reverse();
}

const inReadingOrder = <T>(terms: TermsOf<'bands'>, bands: readonly T[]): readonly T[] =>
  terms.order === 'light-first' ? bands : [...bands].reverse();

/** Why the bands can't be read, if they can't: fewer than half of those wanted can be told apart, or one hardly shows. */
function unreadable(
  { bands, told }: BandReadings,
  code: 'wrong_sheet' | 'no_target',
  box: CaptureIssue['box'],
): CaptureIssue[] {
  if (told < bands.length / 2)
    return [
      issue(
        code,
        told,
        `Only ${told} of the ${bands.length} bands can be told apart: ` +
          'photograph the picture when its bands are painted, each a little darker than the one before.',
        box,
      ),
    ];
  const hidden = bands.flatMap((b, i) => (b ? [] : [i + 1]));
  return hidden.length === 0
    ? []
    : [
        issue(
          'cut_off',
          hidden.length,
          `So little shows of band ${hidden.join(', ')} that it can’t be read: leave more of it free of what stands in front.`,
          box,
        ),
      ];
}

async function measureSheet(photo: Photo, request: BandsRequest, tools: MeasureTools): Promise<ScaleResult> {
  const { terms, expected, card } = request;
  const opened = await openSheet(
    photo,
    {
      layoutOn: (paper) => pictureLayout(paper, { dabs: terms.steps, hue: terms.hue !== null }),
      expected,
      check: (tag) =>
        tag.kind === 'bands' && tag.steps === terms.steps
          ? null
          : issue(
              'wrong_sheet',
              1,
              `This is not the sheet with ${terms.steps} bands: photograph the sheet of this exercise.`,
            ),
      onFound: () => tools.onStage?.('reading its greys'),
      ...(card && { card }),
    },
    tools,
  );
  const { located, tag } = opened;
  const corners = located && cornersOf(located.plane, located.frame.widthMm, located.frame.heightMm);
  const base = {
    ...CALIBRATED,
    whiteBasis: card?.basis ?? 'nominal',
    target: located ? ('sheet' as const) : null,
    tag,
    corners,
  } satisfies Partial<Capture>;
  if (opened.kind === 'refused') return nothingRead({ ...base, issues: opened.issues });
  const { layout, calibration, issues } = opened;
  tools.onStage?.('reading the steps');
  const frame = layout.cells[0];
  if (!frame) throw new Error('The sheet of bands has no frame.');
  const judged = bandScale(request);
  const targets = lightestFirst(judged);
  const found = readBands(photo, calibration, {
    frame,
    terms,
    targets,
    onSheet: true,
    ground: calibration.profile.paper,
  });
  const missing = unreadable(found, 'wrong_sheet', photoBox(opened.located.plane, frame));
  if (missing.length > 0) return nothingRead({ ...base, issues: [...issues, ...missing] });
  const readings = inReadingOrder(terms, found.bands) as CellReading[];
  const shine = Math.max(...readings.map(shineStrength));
  if (shine > GATE.glare.limit && !issues.some((i) => i.code === 'clipped'))
    issues.push(
      issue(
        'glare',
        shine,
        'Shine lies on the picture: turn the sheet away from the lamp until it leaves the paint.',
        photoBox(opened.located.plane, frame),
      ),
    );
  tools.onStage?.('comparing');
  const grain = backgroundSpread(photo, calibration);
  const read = readSteps(readings, (lightness) => surenessOf(calibration, lightness), grain);
  issues.push(...outsideIssues(read.map((r) => r.sureness)));
  const colour = calibration.coloursMeasured ? ('measured' as const) : ('assumed' as const);
  const capture = { ...base, colour, accepted: !refuses(issues), issues };
  const result = compareScale(judged, read, capture, expectation(request));
  const { silhouette } = found;
  if (!silhouette) return result;
  const spread = Math.sqrt(Math.max(0, silhouette.spread ** 2 - grain(silhouette.lab[0]) ** 2));
  const bare = silhouette.bareGround ?? 0;
  const solid =
    spread <= LIMITS.streaky &&
    bare <= LIMITS.bareGround &&
    silhouette.lab[0] <= Math.min(...targets) + LIMITS.weakBlack;
  return { ...result, silhouette: { lightness: silhouette.lab[0], spread, bareGround: silhouette.bareGround, solid } };
}

/** Between which shares of the frame's luminances, sorted, the ends are looked for before bands are known. */
const OUTER = 0.03;

/** A frame of which only order and gaps are known, its lightest and darkest parts placed at the ends. */
export function roughlyAnchored(photo: Photo, calibration: Calibration, box: BoxMm, ends: Ends): Calibration {
  const y = patchwork(photo, calibration, box, Math.max(box.widthMm, box.heightMm) / 120)
    .y.filter((v) => !Number.isNaN(v))
    .sort();
  const at = (share: number) => y[Math.floor(share * (y.length - 1))] ?? 0;
  return anchored(
    calibration,
    { light: at(1 - OUTER), dark: at(OUTER) },
    { light: lightnessToLuminance(ends.light), dark: lightnessToLuminance(ends.dark) },
  );
}

/** The bands placed between the ends, from a frame of which only order and gaps are known. */
function readRelative(
  photo: Photo,
  { calibration, box }: Extract<OpenedFree, { kind: 'open' }>,
  terms: TermsOf<'bands'>,
  targets: readonly number[],
): BandReadings {
  const wanted = { light: lightnessToLuminance(terms.ends.light), dark: lightnessToLuminance(terms.ends.dark) };
  const bands = { frame: box, terms, targets, onSheet: false, ground: null };
  const rough = roughlyAnchored(photo, calibration, box, terms.ends);
  const drawn = findDrawnIn(photo, rough, bands);
  const first = readBands(photo, rough, bands, drawn);
  const read = first.bands.flatMap((b) => (b ? [lightnessToLuminance(b.lab[0])] : []));
  if (read.length < 2 || !rough.anchor) return first;
  const back = (v: number) => v / (rough.anchor?.gain ?? 1) + (rough.anchor?.offset ?? 0);
  return readBands(
    photo,
    anchored(calibration, { light: back(Math.max(...read)), dark: back(Math.min(...read)) }, wanted),
    bands,
    drawn,
  );
}

/** Bands that somebody drew without a sheet. */
function measureFree(photo: Photo, request: BandsRequest, target: FreeTarget, tools: MeasureTools): ScaleResult {
  const { terms, card, lineMm } = request;
  const opened = openFree(photo, target, { ...(card && { card }), ...(lineMm !== undefined && { lineMm }) }, tools.cv);
  if (opened.kind === 'refused') return nothingRead({ ...opened.base, issues: opened.issues });
  tools.onStage?.('reading the steps');
  const { base, relative, sureness, grain } = opened;
  const judged = bandScale(request);
  const targets = lightestFirst(judged);
  const found = relative
    ? readRelative(photo, opened, terms, targets)
    : readBands(photo, opened.calibration, { frame: opened.box, terms, targets, onSheet: false, ground: null });
  const missing = unreadable(found, 'no_target', { x: 0, y: 0, width: 1, height: 1 });
  if (missing.length > 0) return nothingRead({ ...base, issues: [...opened.issues, ...missing] });
  const readings = inReadingOrder(terms, found.bands) as CellReading[];
  const read = readSteps(readings, sureness, grain);
  const issues = [
    ...opened.issues,
    ...(relative ? clippedSteps(readings) : outsideIssues(read.map((r) => r.sureness))),
  ];
  tools.onStage?.('comparing');
  return compareScale(judged, read, { ...base, accepted: !refuses(issues), issues }, expectation(request));
}

/** Reads a photograph against an exercise of bands, printed or drawn by hand. Throws BadCorners and WrongCard on what was given beside it. */
export async function measureBands(photo: Photo, request: BandsRequest, tools: MeasureTools): Promise<ScaleResult> {
  tools.onStage?.('finding the sheet');
  const target = settledTarget(photo, request.target, tools);
  if (target.kind === 'sheet') return measureSheet(photo, request, tools);
  return measureFree(photo, request, target, tools);
}
