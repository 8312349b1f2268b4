/**
 * A picture as a whole, whatever is in it: how its values are spread, where its lights and its darks lie, and where the eye goes
 * first. All of it is asked of a picture that is squinted at.
 */
import { z } from 'zod';
import type { Ends } from '../../exercise/scale';
import { quantiles } from '../../fitting/quantile';
import { shareBoxSchema, type ShareBox } from '../../geometry/share-box';
import type { Plane } from '../../raster/between';
import { gaussianBlur } from '../../raster/blur';
import { type BoxOfPlaces, boxOfPlaces, shareBox } from '../../raster/box-of-places';
import { piecesOf } from '../../raster/pieces';

const share = z.number().min(0).max(1);

/** The largest shapes that together make up most of a tone. */
const patternSchema = z
  .object({
    pieces: z.number().int(),
    /** Their common middle, in shares of width and height, and what lies round them all. */
    middle: z.object({ x: z.number(), y: z.number() }),
    box: shareBoxSchema,
  })
  .nullable();

export const wholePictureSchema = z.object({
  /** L* below which 0, 5, 10 … 100 percent of it lie. */
  curve: z.array(z.number()).length(21),
  /** Shares of it between the ends of what paint reaches. */
  thirds: z.object({ light: share, middle: share, dark: share }),
  lights: patternSchema,
  darks: patternSchema,
  /** Where light and dark meet most sharply, and how far they lie apart there, L*. */
  focus: z.object({ box: shareBoxSchema, contrast: z.number() }),
});
export type WholePicture = z.infer<typeof wholePictureSchema>;

const CURVE = Array.from({ length: 21 }, (_, k) => k / 20);
/** Squinted at by so much of the width: accents are no shapes. */
const SQUINT = 0.008;
/** The shapes of a pattern make up this share of their tone, and smaller ones (share of the picture) are none. */
const MOST = 0.8;
const LEAST = 0.001;
/** Light and dark meet within so much of the width. */
const MEET = 0.05;

/** The same plane with what is unknown filled as its neighbours on the row are, and squinted at. */
function squinted({ width, height, data }: Plane): Plane {
  const filled = Float32Array.from(data);
  let last = data.find((l) => !Number.isNaN(l)) ?? 50;
  for (let i = 0; i < filled.length; i++) {
    if (Number.isNaN(filled[i])) filled[i] = last;
    else last = filled[i] as number;
  }
  return { width, height, data: gaussianBlur(filled, width, height, SQUINT * width) };
}

function patternOf({ width, height }: Plane, mask: Uint8Array): WholePicture['lights'] {
  const pieces = piecesOf(mask, width)
    .filter((p) => p.length >= LEAST * mask.length)
    .sort((a, b) => b.length - a.length);
  const all = pieces.reduce((s, p) => s + p.length, 0);
  const largest: Int32Array[] = [];
  let [n, x, y] = [0, 0, 0];
  for (const piece of pieces) {
    if (n >= MOST * all) break;
    largest.push(piece);
    n += piece.length;
    for (const i of piece) {
      x += (i % width) + 0.5;
      y += Math.floor(i / width) + 0.5;
    }
  }
  const boxes = largest.map((p) => boxOfPlaces(p, width) as BoxOfPlaces);
  if (boxes.length === 0) return null;
  const edge = (k: 0 | 1 | 2 | 3, of: (...all: number[]) => number) => of(...boxes.map((b) => b[k]));
  const around = [edge(0, Math.min), edge(1, Math.min), edge(2, Math.max), edge(3, Math.max)] as const;
  return {
    pieces: largest.length,
    middle: { x: x / n / width, y: y / n / height },
    box: shareBox(around, { width, height }),
  };
}

/** The most of what lies within `reach` places of each place, along rows and columns. */
function mostNear({ width, height, data }: Plane, reach: number): Float32Array {
  const along = new Float32Array(data.length);
  for (let row = 0; row < height; row++)
    for (let x = 0, start = row * width; x < width; x++) {
      let most = data[start + x] as number;
      const end = Math.min(width - 1, x + reach);
      for (let k = Math.max(0, x - reach); k <= end; k++) {
        const own = data[start + k] as number;
        if (own > most) most = own;
      }
      along[start + x] = most;
    }
  const out = along.slice();
  for (let row = 0; row < height; row++) {
    const end = Math.min(height - 1, row + reach);
    for (let other = Math.max(0, row - reach); other <= end; other++)
      for (let x = 0, i = row * width, k = other * width; x < width; x++, i++, k++) {
        const own = along[k] as number;
        if (own > (out[i] as number)) out[i] = own;
      }
  }
  return out;
}

/** How far the lightest and the darkest lie apart near each place of a squinted picture, L*. */
function contrastNear(plane: Plane): Float32Array {
  const reach = reachOf(plane.width);
  const lightest = mostNear(plane, reach);
  const dark = new Float32Array(plane.data.length);
  for (let i = 0; i < dark.length; i++) dark[i] = -(plane.data[i] as number);
  const darkness = mostNear({ ...plane, data: dark }, reach);
  for (let i = 0; i < lightest.length; i++) lightest[i] = (lightest[i] as number) + (darkness[i] as number);
  return lightest;
}

const reachOf = (width: number): number => Math.max(1, Math.round((MEET * width) / 2));

function boxAbout(i: number, { width, height }: Plane): ShareBox {
  const half = reachOf(width);
  const [x, y] = [i % width, Math.floor(i / width)];
  const around = [
    Math.max(0, x - half),
    Math.max(0, y - half),
    Math.min(width, x + half + 1),
    Math.min(height, y + half + 1),
  ] as const;
  return shareBox(around, { width, height });
}

/** A picture as a whole, and how sharply light and dark meet near each of its places. */
export interface LookedAt {
  readonly whole: WholePicture;
  readonly near: Plane;
}

/** Shares of what is known of a plane that are light and that are dark. */
function thirdsOf(data: Float32Array, isLight: (l: number) => boolean, isDark: (l: number) => boolean) {
  let [known, light, dark] = [0, 0, 0];
  for (const l of data) {
    if (Number.isNaN(l)) continue;
    known++;
    if (isLight(l)) light++;
    else if (isDark(l)) dark++;
  }
  return { light: light / Math.max(1, known), dark: dark / Math.max(1, known) };
}

/** A plane of L* as a whole; what is NaN in it is not known. `ends` are those that its thirds lie between. */
export function lookedAt(plane: Plane, { light, dark }: Ends): LookedAt {
  const third = (light - dark) / 3;
  const [isLight, isDark] = [(l: number) => l >= light - third, (l: number) => l <= dark + third];
  const thirds = thirdsOf(plane.data, isLight, isDark);
  const soft = squinted(plane);
  const masked = (of: (l: number) => boolean) => {
    const mask = new Uint8Array(soft.data.length);
    for (let i = 0; i < mask.length; i++) mask[i] = of(soft.data[i] as number) ? 1 : 0;
    return patternOf(soft, mask);
  };
  const near = { ...soft, data: contrastNear(soft) };
  const contrast = largestOf(near);
  return {
    near,
    whole: {
      curve: quantiles(
        plane.data.filter((l) => !Number.isNaN(l)),
        CURVE,
      ),
      thirds: { ...thirds, middle: Math.max(0, 1 - thirds.light - thirds.dark) },
      lights: masked(isLight),
      darks: masked(isDark),
      focus: { box: boxAbout(near.data.indexOf(contrast), near), contrast },
    },
  };
}

function largestOf({ data }: Plane): number {
  let most = 0;
  for (const own of data) if (own > most) most = own;
  return most;
}

/** How much of a picture's largest contrast there is inside a box of it, 0 to 1. */
export function shareOfFocus({ near, whole }: LookedAt, { x, y, width, height }: ShareBox): number {
  let here = 0;
  for (let row = Math.floor(y * near.height); row < (y + height) * near.height; row++)
    for (let column = Math.floor(x * near.width); column < (x + width) * near.width; column++)
      here = Math.max(here, near.data[row * near.width + column] ?? 0);
  return here / Math.max(1e-6, whole.focus.contrast);
}
