/** A painting as it is compared: without a dark frame that was painted round it, in the proportion of its reference. */
import { quantile } from '../fitting/quantile';
import { darkAllRound, type PaintedFrame, paintedFrame } from '../notan/painted-frame';
import { between, type Plane } from '../raster/between';
import type { Raster } from '../raster/raster';

/** So near to its darkest hundredth (L*) a picture is dark. */
const DARK = 9;

/** Whether a picture is itself dark almost all round: no painted frame can be told from it then. */
function isDarkAllRound({ width, height, data }: Plane): boolean {
  const limit = quantile(data, 0.01) + DARK;
  return darkAllRound({ width, height, toneOf: Uint8Array.from(data, (l) => (l <= limit ? 2 : 1)) });
}

/** What of a plane lies inside a painted frame. */
function insideOf({ width, data }: Plane, { x0, y0, x1, y1 }: PaintedFrame['inside']): Plane {
  const [wide, tall] = [x1 - x0, y1 - y0];
  return {
    width: wide,
    height: tall,
    data: Float32Array.from(
      { length: wide * tall },
      (_, i) => data[(y0 + Math.floor(i / wide)) * width + x0 + (i % wide)] as number,
    ),
  };
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

/** What is compared of a painting, and the frame that was left out; null where there is none. `target` is L* as wanted. */
export function withoutFrame(
  whole: Raster<'lightness', 1>,
  target: Plane,
): { readonly painting: Plane; readonly frame: { readonly lightness: number } | null } {
  const framed = isDarkAllRound(target) ? null : paintedFrame(whole);
  const painting = stretched(framed ? insideOf(whole, framed.inside) : whole, target);
  return { painting, frame: framed && { lightness: framed.lightness } };
}
