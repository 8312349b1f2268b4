/** A painting as it is compared: without a dark frame that was painted round it, in the proportion of its reference. */
import { quantile } from '../../fitting/quantile';
import { darkAllRound, type PaintedFrame, paintedFrame } from '../../notan/painted-frame';
import { between, type Plane } from '../../raster/between';
import type { Raster } from '../../raster/raster';

/** So near to its darkest hundredth (L*) a picture is dark. */
const DARK = 9;

/** Whether a picture is itself dark almost all round: no painted frame can be told from it then. */
export function isDarkAllRound({ width, height, data }: Plane): boolean {
  const limit = quantile(data, 0.01) + DARK;
  const toneOf = new Uint8Array(data.length);
  for (let i = 0; i < data.length; i++) toneOf[i] = (data[i] as number) <= limit ? 2 : 1;
  return darkAllRound({ width, height, toneOf });
}

/** What of a plane lies inside a painted frame. */
function insideOf({ width, data }: Plane, { x0, y0, x1, y1 }: PaintedFrame['inside']): Plane {
  const [wide, tall] = [x1 - x0, y1 - y0];
  const inside = new Float32Array(wide * tall);
  for (let y = 0; y < tall; y++)
    inside.set(data.subarray((y0 + y) * width + x0, (y0 + y) * width + x0 + wide), y * wide);
  return { width: wide, height: tall, data: inside };
}

/** A plane in the proportion of another: both fill the same frame. */
function stretched(plane: Plane, like: Plane): Plane {
  const { width } = plane;
  const height = Math.round((width * like.height) / like.width);
  if (height === plane.height) return plane;
  const data = new Float32Array(width * height);
  for (let row = 0, i = 0; row < height; row++) {
    const y = ((row + 0.5) * plane.height) / height;
    for (let column = 0; column < width; column++, i++) data[i] = between(plane, column + 0.5, y);
  }
  return { width, height, data };
}

export interface WithoutFrame {
  /** What is compared of a painting. */
  readonly painting: Plane;
  /** The frame that was left out; null where there is none or none can be told. */
  readonly frame: { readonly lightness: number } | null;
  /** What is compared of another plane on the same places. */
  readonly alike: (plane: Plane) => Plane;
}

/** Leaves a painted frame out, and brings what is inside into the proportion of the reference. */
export function withoutFrame(
  whole: Raster<'lightness', 1>,
  { target, darkAllRound: dark }: { readonly target: Plane; readonly darkAllRound: boolean },
): WithoutFrame {
  const framed = dark ? null : paintedFrame(whole);
  const alike = (plane: Plane) => stretched(framed ? insideOf(plane, framed.inside) : plane, target);
  return { painting: alike(whole), frame: framed && { lightness: framed.lightness }, alike };
}
