/** A picture prepared for few tones: squinted, cut at thresholds, each tone at the value that the class paints it in. */
import type { Ends } from '../exercise/scale';
import { targetLightnesses } from '../exercise/targets';
import { lightnessHistogram } from '../raster/lightness-histogram';
import type { Raster } from '../raster/raster';
import { otsuThresholds } from '../tones/thresholds';
import { sharesOf, toneShapes, tonesBy } from '../tones/tones';
import { softLightness } from './luminance-plane';

/** The picture can't be prepared; `message` says why and what to do. */
export class NothingToPrepare extends RangeError {
  override readonly name = 'NothingToPrepare';
}

/** Shorter side that a picture must have, pixels: below, nothing in it has a shape. */
export const LEAST_SIDE_PX = 32;
/** Shapes smaller than this share of the picture are left out of the list. */
const LEAST_SHARE = 1e-4;

export interface PrepareRequest {
  readonly tones: number;
  /** Sigma of the squint, percent of the longer side; 0 for none. */
  readonly squintPercent: number;
  readonly ends: Ends;
  /** Rising, L* of the squinted picture; by the automatic rule unless given. */
  readonly thresholds?: readonly number[];
}

export interface Prepared {
  readonly width: number;
  readonly height: number;
  /** Tone of each place, 1 the lightest. */
  readonly toneOf: Uint8Array;
  /** Rising, L* of the squinted picture. */
  readonly thresholds: readonly number[];
  /** Lightness (L*) in paint and share (0 to 1) of each tone, the lightest first. */
  readonly tones: readonly { readonly index: number; readonly lightness: number; readonly share: number }[];
  /** Largest first; boxes and areas as shares of the picture. */
  readonly shapes: readonly {
    readonly tone: number;
    readonly box: { readonly x: number; readonly y: number; readonly width: number; readonly height: number };
    readonly area: number;
  }[];
}

/**
 * Throws NothingToPrepare for a picture too small, TooFewTones for one with fewer tones than wanted, RangeError on
 * thresholds that don't rise or don't fit the number of tones.
 */
export function prepareTones(
  plane: Raster<'linear', 1>,
  { tones: count, squintPercent, ends, thresholds: given }: PrepareRequest,
): Prepared {
  const { width, height } = plane;
  if (Math.min(width, height) < LEAST_SIDE_PX)
    throw new NothingToPrepare(
      `This picture is ${width} x ${height} pixels: send one of at least ${LEAST_SIDE_PX} each way.`,
    );
  if (given && (given.length !== count - 1 || given.some((t, i) => i > 0 && t <= (given[i - 1] as number))))
    throw new RangeError(`${count} tones need ${count - 1} thresholds that rise, got ${given.join(', ')}.`);
  const lightness = softLightness(plane, squintPercent);
  const thresholds = given ?? otsuThresholds(lightnessHistogram(lightness.data), count);
  const toneOf = tonesBy(lightness, thresholds);
  const values = targetLightnesses(count, ends, 'light-first', 'lightness');
  return {
    width,
    height,
    toneOf,
    thresholds,
    tones: sharesOf(toneOf, count).map((share, i) => ({ index: i + 1, lightness: values[i] as number, share })),
    shapes: toneShapes(toneOf, width)
      .shapes.map(({ tone, box, places }) => ({
        tone,
        box: {
          x: box.x0 / width,
          y: box.y0 / height,
          width: (box.x1 - box.x0) / width,
          height: (box.y1 - box.y0) / height,
        },
        area: places / toneOf.length,
      }))
      .filter((s) => s.area >= LEAST_SHARE),
  };
}
