/** What a student has before them where that is not what their painting is measured against: another picture, or other hues. */
import type { SeenPicture } from '@/devices/drawing-hand';
import type { Chance } from '@/devices/random';
import { type Reference, referenceOf } from './references';

export const WRONGS = ['another', 'mirrored', 'upside_down', 'half'] as const;
export type Wrong = (typeof WRONGS)[number];

/** A picture seen in a mirror, or standing on its head. */
function turned(picture: SeenPicture, how: 'mirrored' | 'upside_down'): SeenPicture {
  const { width, height } = picture;
  const from = (i: number) => {
    const [x, y] = [i % width, Math.floor(i / width)];
    return how === 'mirrored' ? y * width + width - 1 - x : (height - 1 - y) * width + width - 1 - x;
  };
  return {
    width,
    height,
    lightness: picture.lightness.map((_, i) => picture.lightness[from(i)] as number),
    shapeOf: picture.shapeOf.map((_, i) => picture.shapeOf[from(i)] as number),
  };
}

/** So much of a picture's width and height is half of it. */
const HALF = 0.7;

/** About half of a picture, of its own proportion. */
function halfOf(picture: SeenPicture, own: Chance): SeenPicture {
  const [width, height] = [Math.round(HALF * picture.width), Math.round(HALF * picture.height)];
  const [x0, y0] = [own.whole(0, picture.width - width), own.whole(0, picture.height - height)];
  const from = (i: number) => (y0 + Math.floor(i / width)) * picture.width + x0 + (i % width);
  const length = width * height;
  return {
    width,
    height,
    lightness: Float32Array.from({ length }, (_, i) => picture.lightness[from(i)] as number),
    shapeOf: Uint8Array.from({ length }, (_, i) => picture.shapeOf[from(i)] as number),
  };
}

/** Another picture than the one of a scene. */
const ANOTHER = 1;

/** Another hue for each shape. */
function huesOf({ shapeOf }: Reference): Float32Array {
  const hues = new Float32Array(2 * shapeOf.length);
  shapeOf.forEach((shape, i) => hues.set([12 * Math.cos(2.4 * shape), 12 * Math.sin(2.4 * shape)], 2 * i));
  return hues;
}

/** Raw umber and white, and a touch of red on one shape. */
const [UMBER, RED] = [
  [2, 7],
  [42, 24],
] as const;

function withTouch(reference: Reference, touched: number): SeenPicture {
  const hues = new Float32Array(2 * reference.shapeOf.length);
  reference.shapeOf.forEach((shape, i) => hues.set(shape === touched ? RED : UMBER, 2 * i));
  return { ...reference, hues };
}

/** What the student has before them, where that is not what is measured against. */
export async function seenFor(
  {
    wrong,
    scene,
    hues,
    touched,
  }: { readonly wrong?: Wrong; readonly scene: number; readonly hues?: boolean; readonly touched?: number | null },
  reference: Reference,
  own: Chance,
): Promise<SeenPicture> {
  if (touched != null) return withTouch(reference, touched);
  if (wrong === undefined) return hues ? { ...reference, hues: huesOf(reference) } : reference;
  if (wrong === 'another') return referenceOf(scene + ANOTHER);
  return wrong === 'half' ? halfOf(reference, own) : turned(reference, wrong);
}
