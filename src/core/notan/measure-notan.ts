/** Measures a painting in few flat tones against its reference: on its sheet, on a board, between marked corners, or scanned. */
import { type Calibration, surenessOf } from '../capture/calibrate';
import { type CaptureIssue, issue, refuses } from '../capture/gate';
import { anchored } from '../capture/open-corners';
import { type Expected, type KnownCard, openSheet } from '../capture/open-sheet';
import { lightnessToLuminance, luminanceToLightness } from '../colour/lab';
import type { Ends } from '../exercise/scale';
import { gaussianBlur } from '../raster/blur';
import type { Photo } from '../raster/photo';
import { raster, type Raster } from '../raster/raster';
import { CALIBRATED, cornersOf } from '../scale/capture-facts';
import type { MeasureTools, Target } from '../scale/measure';
import { seekTarget } from '../scale/measure';
import { openFree } from '../scale/open-free';
import { targetLightnesses } from '../scale/targets';
import { patchwork } from '../scale/patchwork';
import type { Capture } from '../scale/result';
import { type BoxMm, boxMm } from '../sheet/paper';
import { pictureLayout } from '../sheet/picture-layout';
import type { TonePlane } from './compare-tones';
import { judgeTones, type Names, type Reading } from './judge-tones';
import { matchTones } from './match-tones';
import { darkAllRound, paintedFrame } from './painted-frame';
import { paintedTones } from './painted-tones';
import { NOTAN_RESULT_VERSION, type NotanResult } from './result';
import { seamsBetween } from './seams';
import { shapeFacts } from './shape-facts';
import { withoutThin } from './tidy';

/** Kinds whose sheet has one frame to paint in few tones. */
const KINDS = ['notan', 'five-value'];

export interface NotanRequest {
  /** The reference in its tones, the lightest 1. */
  readonly reference: TonePlane;
  readonly tones: number;
  /** Where the lightest and the darkest tone are placed when nothing of known lightness is in the picture, L*. */
  readonly ends: Ends;
  readonly expected: Expected;
  /** A worksheet unless said. */
  readonly target?: Target;
  readonly card?: KnownCard;
  readonly lineMm?: number;
  /** What was accepted in place of the reference, and the names of its shapes. */
  readonly readings?: readonly Reading[];
  readonly named?: Names;
}

export interface NotanMeasured {
  readonly result: NotanResult;
  /** The painting's tones on the reference's grid; null where nothing was read. */
  readonly drawn: TonePlane | null;
}

interface Opened {
  readonly base: Omit<Capture, 'accepted' | 'issues' | 'uncertainty'>;
  readonly issues: CaptureIssue[];
  /** Null where nothing can be read. */
  readonly found: { readonly calibration: Calibration; readonly box: BoxMm; readonly relative: boolean; readonly uncertainty: (lightness: number) => number } | null;
}

async function open(photo: Photo, request: NotanRequest, tools: MeasureTools): Promise<Opened> {
  const said = request.target ?? { kind: 'sheet' };
  const target = said.kind === 'unsaid' ? seekTarget(photo, tools) : said;
  const { card, lineMm } = request;
  if (target.kind !== 'sheet' && target.kind !== 'unsaid') {
    const opened = openFree(photo, target, { ...(card && { card }), ...(lineMm !== undefined && { lineMm }) }, tools.cv);
    if (opened.kind === 'refused') return { base: opened.base, issues: opened.issues, found: null };
    const { calibration, box, relative, sureness } = opened;
    return { base: opened.base, issues: opened.issues, found: { calibration, box, relative, uncertainty: (l) => sureness(l).whole } };
  }
  const opened = await openSheet(
    photo,
    {
      layoutOn: (paper) => pictureLayout(paper),
      expected: request.expected,
      check: (tag) => (KINDS.includes(tag.kind) ? null : issue('wrong_sheet', 1, 'This is the sheet of another kind of exercise: photograph the sheet with the one empty frame.')),
      onFound: () => tools.onStage?.('reading its greys'),
      ...(card && { card }),
    },
    tools,
  );
  const { located, tag } = opened;
  const corners = located && cornersOf(located.plane, located.frame.widthMm, located.frame.heightMm);
  const base = { ...CALIBRATED, whiteBasis: card?.basis ?? ('nominal' as const), target: located ? ('sheet' as const) : null, tag, corners };
  if (opened.kind === 'refused') return { base, issues: opened.issues, found: null };
  const { calibration, layout, issues } = opened;
  const box = layout.cells[0];
  if (!box) throw new Error('The sheet has no frame.');
  return { base, issues, found: { calibration, box, relative: false, uncertainty: (l) => surenessOf(calibration, l).whole } };
}

/** Samples are taken this fine, whatever the size of the reference. */
const SAMPLES = 900;
/** Grain is smoothed by this share of the longer side before tones are told. */
const SMOOTH = 0.002;

/** The painting's lightness, on a grid of its own proportions. */
function lightnessPlane(photo: Photo, calibration: Calibration, box: BoxMm): Raster<'lightness', 1> {
  const p = patchwork(photo, calibration, box, Math.max(box.widthMm, box.heightMm) / SAMPLES);
  const { columns, rows } = p.samples;
  // What lies outside the photograph is as light as what is usual: it must not spread into its neighbours.
  const usual = p.y.filter((y) => !Number.isNaN(y)).sort();
  const filled = p.y.map((y) => (Number.isNaN(y) ? (usual[usual.length >> 1] ?? 0) : y));
  return raster('lightness', columns, rows, 1, gaussianBlur(filled, columns, rows, SMOOTH * SAMPLES).map((y) => luminanceToLightness(y)));
}

/** A plane on a grid of another size: the nearest place. */
function fitted({ toneOf, width, height }: TonePlane, toWidth: number, toHeight: number): Uint8Array {
  return Uint8Array.from({ length: toWidth * toHeight }, (_, i) => {
    const x = Math.floor((((i % toWidth) + 0.5) * width) / toWidth);
    const y = Math.floor(((Math.floor(i / toWidth) + 0.5) * height) / toHeight);
    return toneOf[y * width + x] as number;
  });
}

/** No painted shape is thinner than this, share of the longer side: the blurred edge between two tones is. */
const THIN = 0.005;

/**
 * Reads a painting against a reference. A photograph that can't be used comes back with `accepted: false` and what to do.
 * Throws BadCorners and WrongCard on what was given beside it; else only on programmers' errors. `findings` are drafted by
 * the critique.
 */
export async function measureNotan(photo: Photo, request: NotanRequest, tools: MeasureTools): Promise<NotanMeasured> {
  tools.onStage?.('finding the sheet');
  const { base, issues, found } = await open(photo, request, tools);
  const nothing = (more: readonly CaptureIssue[]): NotanResult => ({
    version: NOTAN_RESULT_VERSION,
    kind: 'notan',
    capture: { ...base, accepted: false, uncertainty: null, issues: [...issues, ...more] },
    tones: [],
    agreement: null,
    agreementTolerant: null,
    agreementAligned: null,
    kappa: null,
    shift: null,
    regions: [],
    shapes: null,
    frame: null,
    seams: null,
    findings: [],
  });
  const refused = (more: readonly CaptureIssue[]): NotanMeasured => ({ result: nothing(more), drawn: null });
  if (!found) return refused([]);
  tools.onStage?.('reading the steps');
  // The outermost rim is the frame's line, and paper where a hand wavered.
  const rim = 0.004 * Math.max(found.box.widthMm, found.box.heightMm);
  const box = boxMm(found.box.xMm + rim, found.box.yMm + rim, found.box.widthMm - 2 * rim, found.box.heightMm - 2 * rim);
  const whole = lightnessPlane(photo, found.calibration, box);
  const frame = darkAllRound(request.reference) ? null : paintedFrame(whole);
  const inside = frame?.inside ?? { x0: 0, y0: 0, x1: whole.width, y1: whole.height };
  const [w, h] = [inside.x1 - inside.x0, inside.y1 - inside.y0];
  const picture = raster('lightness', w, h, 1, Float32Array.from({ length: w * h }, (_, i) => whole.data[(inside.y0 + Math.floor(i / w)) * whole.width + inside.x0 + (i % w)] as number));
  const { tones: count, reference } = request;
  const painted = paintedTones(picture, count);
  const means = painted.tones.map((t) => t.lightness);
  if (means.length < 2) return refused([issue('no_target', means.length, 'Only one tone can be made out in this painting: photograph it when all its tones are painted.')]);
  tools.onStage?.('comparing');
  const clean = withoutThin(painted.toneOf, w, h, Math.max(1, Math.round((THIN / 2) * Math.max(w, h))));
  const onGrid = fitted({ toneOf: clean, width: w, height: h }, reference.width, reference.height);
  const lightness = found.relative ? placedBetween(found.calibration, means, request.ends) : means;
  const stands = matchTones(onGrid, reference.toneOf, lightness, targetLightnesses(count, request.ends, 'light-first', 'lightness'));
  const drawn = { ...reference, toneOf: onGrid.map((t) => stands[t - 1] as number) };
  const { shares, referenceShares, ...judged } = judgeTones(drawn, reference, count, request.readings, request.named);
  const result: NotanResult = {
    ...nothing([]),
    ...judged,
    capture: { ...base, accepted: !refuses(issues), uncertainty: Math.max(...means.map(found.uncertainty)), issues },
    tones: shares.map((share, k) => {
      const own = stands.indexOf(k + 1);
      return { index: k + 1, share, referenceShare: referenceShares[k] as number, lightness: lightness[own] ?? null, spread: painted.tones[own]?.spread ?? null };
    }),
    shapes: shapeFacts(clean, w, h, means.length),
    frame: frame && { lightness: frame.lightness },
    seams: seamsBetween(picture, clean, means),
  };
  return { result, drawn };
}

/** Lightnesses of which only order and gaps are known, the outer ones placed at the ends. */
function placedBetween(calibration: Calibration, means: readonly number[], ends: Ends): number[] {
  const y = means.map(lightnessToLuminance);
  const { anchor } = anchored(calibration, { light: Math.max(...y), dark: Math.min(...y) }, { light: lightnessToLuminance(ends.light), dark: lightnessToLuminance(ends.dark) });
  return y.map((v) => luminanceToLightness(anchor ? anchor.gain * (v - anchor.offset) : v));
}
