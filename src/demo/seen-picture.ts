/** A shipped picture as somebody sees it who is about to paint it. */
import { linearRgbToLab } from '@/core/colour/lab';
import { LINEAR_OF_CODE } from '@/core/colour/srgb';
import type { Ends } from '@/core/exercise/scale';
import { valueMap, valueSpan } from '@/core/reference/value-map';
import type { SeenPicture } from '@/devices/drawing-hand';
import path from 'node:path';
import sharp from 'sharp';
import { PICTURE_FOLDER } from './pictures';

export type SeenInColour = SeenPicture & { readonly hues: Float32Array };

/** Places across that it is seen with. */
const ACROSS = 800;

/** L* within reach of the paint, the hue of each place, and what is a thing's light (even numbers) or shadow (odd ones). */
export async function seenFor(name: string, ends: Ends): Promise<SeenInColour> {
  const open = (file: string, kernel: 'nearest' | 'cubic') =>
    sharp(path.join(PICTURE_FOLDER, name, file))
      .resize({ width: ACROSS, kernel })
      .removeAlpha()
      .toColourspace('srgb')
      .raw()
      .toBuffer({ resolveWithObject: true });
  const [{ data, info }, things, shadow] = [
    await open('picture.jpg', 'cubic'),
    await open('things.png', 'nearest'),
    await open('shadow.png', 'nearest'),
  ];
  const { width, height } = info;
  const linear = (i: number) => LINEAR_OF_CODE[data[i] as number] as number;
  const [lightness, hues] = [new Float32Array(width * height), new Float32Array(2 * width * height)];
  for (let i = 0; i < lightness.length; i++) {
    const [l, a, b] = linearRgbToLab([linear(3 * i), linear(3 * i + 1), linear(3 * i + 2)]);
    lightness[i] = l;
    hues.set([a, b], 2 * i);
  }
  const { of } = valueMap(valueSpan(lightness), { ends, key: 'full', pushPercent: 0 });
  return {
    width,
    height,
    lightness: lightness.map(of),
    shapeOf: Uint8Array.from(
      { length: width * height },
      (_, i) => 2 * (things.data[3 * i] as number) + ((shadow.data[3 * i] as number) > 127 ? 1 : 0),
    ),
    hues,
  };
}

/** The same as somebody sees it who paints it in greys. */
export async function seenInGreys(name: string, ends: Ends): Promise<SeenPicture> {
  const { width, height, lightness, shapeOf } = await seenFor(name, ends);
  return { width, height, lightness, shapeOf };
}
