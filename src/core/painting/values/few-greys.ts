/** A painting from life in so few greys that a press takes a whole shape of it: on these its masses are shown. */
import { lightnessToGreyCode } from '../../colour/grey-code';
import type { Plane } from '../../raster/between';
import { wideBlur } from '../../raster/blur';

/** So far it is squinted at, share of the width: brush strokes fuse. */
const SQUINT = 0.006;
/** Greys from the darkest to the lightest of it. */
const GREYS = 6;

/** A grey code for each place of a plane of L*; the same plane always has the same. */
export function fewGreys({ width, height, data }: Plane): Uint8Array {
  const soft = wideBlur(data, width, height, SQUINT * width);
  const [low, high] = [soft.reduce((a, l) => Math.min(a, l), 100), soft.reduce((a, l) => Math.max(a, l), 0)];
  const step = Math.max(1e-3, (high - low) / GREYS);
  const codes = new Uint8Array(data.length);
  for (let i = 0; i < codes.length; i++) {
    const k = Math.min(GREYS - 1, Math.floor(((soft[i] as number) - low) / step));
    codes[i] = lightnessToGreyCode(Math.min(100, Math.max(0, low + (k + 0.5) * step)));
  }
  return codes;
}
