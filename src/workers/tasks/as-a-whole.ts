/** A picture looked at as a whole, to stand beside others: in greys, in three values, and what can be said of both. */
import { lightnessToGreyCode } from '@/core/colour/grey-code';
import type { Ends } from '@/core/exercise/scale';
import { lookedAt, type WholePicture } from '@/core/painting/values/whole-picture';
import { shrunkTo } from '@/core/painting/reference';
import type { Plane } from '@/core/raster/between';
import { wideBlur } from '@/core/raster/blur';
import { greyPng, lightnessFromPng } from '../decoding/planes';
import { ownValuesOf, type PreparedReference } from './prepared-plane';

export interface AsAWholeTask {
  readonly task: 'as-a-whole';
  /** File of a painting's lightness, or a prepared reference, in its own values. */
  readonly of: string | PreparedReference;
  /** Darkest and lightest that the thirds lie between, L*. */
  readonly ends: Ends;
}

export interface AsAWhole {
  readonly whole: WholePicture;
  /** PNG in greys, and in light, middle and dark. */
  readonly greys: Uint8Array;
  readonly thirds: Uint8Array;
}

/** Pictures that stand beside one another are so wide, pixels; what is squinted away for three values, share of the width. */
const ACROSS = 420;
const SQUINT = 0.008;
/** L* that the light, the middle and the dark third are shown in. */
const SHOWN = { light: 88, middle: 55, dark: 22 } as const;

export async function asAWhole({ of, ends }: AsAWholeTask): Promise<AsAWhole> {
  const plane: Plane = typeof of === 'string' ? await lightnessFromPng(of) : await ownValuesOf(of);
  const small = shrunkTo(plane, ACROSS, plane);
  const soft = wideBlur(small.data, small.width, small.height, SQUINT * small.width);
  const third = (ends.light - ends.dark) / 3;
  const thirdOf = (l: number) =>
    l >= ends.light - third ? SHOWN.light : l <= ends.dark + third ? SHOWN.dark : SHOWN.middle;
  const codes = (data: Float32Array, as: (l: number) => number) =>
    Uint8Array.from(data, (l) => lightnessToGreyCode(as(l)));
  return {
    whole: lookedAt(plane, ends).whole,
    greys: await greyPng(
      codes(small.data, (l) => Math.min(100, Math.max(0, l))),
      small,
    ),
    thirds: await greyPng(codes(soft, thirdOf), small),
  };
}
