/** Measures a painting in few flat tones against its reference: on its sheet, on a board, between marked corners, or scanned. */
import { placedBetween } from '../capture/between-ends';
import { type CaptureIssue, issue, refuses } from '../capture/gate';
import { type Framing, openPainting } from '../capture/open-painting';
import { paintOver } from '../capture/paint-over';
import type { MeasureTools } from '../capture/tools';
import type { Ends } from '../exercise/scale';
import { type BoxMm, grow } from '../geometry/box';
import { onGrid } from '../raster/on-grid';
import type { Photo } from '../raster/photo';
import { raster, type Raster } from '../raster/raster';
import type { TonePlane } from '../tones/compare-tones';
import type { MassPlane } from '../tones/mass';
import { matchTones } from '../tones/match-tones';
import { seamsBetween } from '../tones/seams';
import { shapeFacts } from '../tones/shape-facts';
import { outlinesByLight, withoutThin } from '../tones/tidy';
import { judgePainting, notanTargets } from './judge-painting';
import type { Reading } from './judge-tones';
import { darkAllRound, type PaintedFrame, paintedFrame } from './painted-frame';
import { paintedTones } from './painted-tones';
import { NOTAN_RESULT_VERSION, type NotanResult } from './result';

export interface NotanRequest extends Framing {
  /** The reference in its tones, the lightest 1; null where it was painted from no picture. */
  readonly reference: TonePlane | null;
  readonly tones: number;
  /** Where the lightest and the darkest tone are placed when nothing of known lightness is in the picture, L*. */
  readonly ends: Ends;
  /** How much further from their middle tones are to lie than evenly between the ends, percent. */
  readonly pushPercent?: number;
  /** What was accepted in place of the reference, and the names of its shapes. */
  readonly readings?: readonly Reading[];
  readonly named?: MassPlane;
  /** A frame that was painted round the picture stands for the dark end. */
  readonly frameIsDark?: boolean;
}

export interface NotanMeasured {
  readonly result: NotanResult;
  /** The painting's tones on the reference's grid, or one of its own; null where nothing was read. */
  readonly drawn: TonePlane | null;
  /** The painting's own lightness, finer than its tones, inside its frame; null where nothing was read. */
  readonly lightness: Raster<'lightness', 1> | null;
}

/** Samples are taken this fine, whatever the size of the reference. */
const SAMPLES = 900;
/** Grain is smoothed by this share of the longer side before tones are told. */
const SMOOTH = 0.002;

/** The outermost samples: the frame's line, and paper where a hand wavered. */
const RIM = 4;

/** A painted frame runs into the picture this far, share of the longer side: its own edge is soft, and the camera's. */
const FRAME_EDGE = 0.006;

/** A part of a plane, or more than all of it; its outermost `rim` places are as light as what lies next to them farther in. */
function cutOut(
  { data, width }: Raster<'lightness', 1>,
  { x0, y0, x1, y1 }: PaintedFrame['inside'],
  rim: number,
): Float32Array {
  const [w, h] = [x1 - x0, y1 - y0];
  const within = (v: number, length: number) => Math.min(length - 1 - rim, Math.max(rim, v));
  return Float32Array.from(
    { length: w * h },
    (_, i) => data[(y0 + within(Math.floor(i / w), h)) * width + x0 + within(i % w, w)] as number,
  );
}

/** Shares of an inner box as shares of the outer one. */
function insideOf(outer: BoxMm, inner: BoxMm, { x, y, width, height }: Record<'x' | 'y' | 'width' | 'height', number>) {
  const [sx, sy] = [inner.widthMm / outer.widthMm, inner.heightMm / outer.heightMm];
  return {
    x: (inner.xMm - outer.xMm) / outer.widthMm + x * sx,
    y: (inner.yMm - outer.yMm) / outer.heightMm + y * sy,
    width: width * sx,
    height: height * sy,
  };
}

/** No painted shape is thinner than this, share of the longer side: the blurred edge between two tones is. */
const THIN = 0.005;

/**
 * Reads a painting against a reference. A photograph that can't be used comes back with `accepted: false` and what to do.
 * Throws BadCorners and WrongCard on what was given beside it; else only on programmers' errors.
 */
export async function measureNotan(photo: Photo, request: NotanRequest, tools: MeasureTools): Promise<NotanMeasured> {
  tools.onStage?.('finding the sheet');
  const { base, issues, found } = await openPainting(photo, request, tools);
  const nothing = (more: readonly CaptureIssue[]): NotanResult => ({
    version: NOTAN_RESULT_VERSION,
    kind: 'notan',
    reference: request.reference ? 'picture' : 'none',
    capture: { ...base, accepted: false, uncertainty: null, issues: [...issues, ...more] },
    tones: [],
    agreement: null,
    agreementTolerant: null,
    agreementAligned: null,
    kappa: null,
    shift: null,
    targets: null,
    regions: [],
    shapes: null,
    frame: null,
    seams: null,
    masses: [],
    pairs: [],
    overlaps: [],
  });
  const refused = (more: readonly CaptureIssue[]): NotanMeasured => ({
    result: nothing(more),
    drawn: null,
    lightness: null,
  });
  if (!found) return refused([]);
  tools.onStage?.('reading the steps');
  const step = Math.max(found.box.widthMm, found.box.heightMm) / SAMPLES;
  const rim = RIM * step;
  const box = grow(found.box, -rim);
  const { lightness: whole } = paintOver(photo, found.calibration, box, step, SMOOTH * SAMPLES);
  const { tones: count, reference } = request;
  const seen = reference && darkAllRound(reference) ? null : paintedFrame(whole);
  // Unless a frame was painted round it, it fills what it was to fill: the reference lies on all of that.
  const inside = seen?.inside ?? { x0: -RIM, y0: -RIM, x1: whole.width + RIM, y1: whole.height + RIM };
  const [w, h] = [inside.x1 - inside.x0, inside.y1 - inside.y0];
  const picture = raster('lightness', w, h, 1, cutOut(whole, inside, seen ? Math.ceil(FRAME_EDGE * SAMPLES) : RIM));
  const painted = paintedTones(picture, count);
  const means = painted.tones.map((t) => t.lightness);
  if (means.length < 2)
    return refused([
      issue(
        'no_target',
        means.length,
        'Only one tone can be made out in this painting: photograph it when all its tones are painted.',
      ),
    ]);
  tools.onStage?.('comparing');
  const thick = withoutThin(painted.toneOf, w, h, Math.max(1, Math.round((THIN / 2) * Math.max(w, h))));
  const clean = outlinesByLight(thick, picture, means, Math.ceil(2 * SMOOTH * SAMPLES));
  const grid = reference ?? { width: w, height: h };
  const judged = onGrid(clean, { width: w, height: h }, grid);
  const isDarkEnd = seen !== null && request.frameIsDark === true;
  const placed = found.relative
    ? placedBetween({ light: Math.max(...means), dark: isDarkEnd ? seen.lightness : Math.min(...means) }, request.ends)
    : (l: number) => l;
  const frame: NotanResult['frame'] = seen && {
    lightness: placed(seen.lightness),
    isDarkEnd,
    inside: insideOf(found.box, box, {
      x: inside.x0 / whole.width,
      y: inside.y0 / whole.height,
      width: w / whole.width,
      height: h / whole.height,
    }),
  };
  const lightness = means.map(placed);
  const targets = notanTargets(count, request.ends, frame, request.pushPercent);
  const stands = matchTones(judged, reference?.toneOf ?? null, lightness, targets);
  const drawn = { width: grid.width, height: grid.height, toneOf: judged.map((t) => stands[t - 1] as number) };
  const tones = targets.map((_, k) => {
    const own = stands.indexOf(k + 1);
    return { lightness: lightness[own] ?? null, spread: painted.tones[own]?.spread ?? null };
  });
  const result: NotanResult = {
    ...nothing([]),
    ...judgePainting({
      drawn,
      reference,
      readings: request.readings ?? [],
      named: request.named ?? null,
      tones,
      targets,
    }),
    capture: { ...base, accepted: !refuses(issues), uncertainty: Math.max(...means.map(found.uncertainty)), issues },
    shapes: shapeFacts(clean, w, h, means.length),
    frame,
    targets,
    seams: seamsBetween(picture, clean, means),
  };
  return {
    result,
    drawn,
    lightness: found.relative ? raster('lightness', w, h, 1, picture.data.map(placed)) : picture,
  };
}
