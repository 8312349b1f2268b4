/**
 * A picture as a whole, whatever is in it: how its values are spread, where its lights and its darks lie, and where the eye goes
 * first. All of it is asked of a picture that is squinted at.
 */
import { z } from 'zod';
import type { Ends } from '../exercise/scale';
import { quantiles } from '../fitting/quantile';
import { shareBoxSchema, type ShareBox } from '../geometry/share-box';
import type { Plane } from '../raster/between';
import { gaussianBlur } from '../raster/blur';
import { type BoxOfPlaces, boxOfPlaces, shareBox } from '../raster/box-of-places';
import { piecesOf } from '../raster/pieces';

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

/** The most, or the least, of what lies within `reach` places along a line of a plane. */
function extremes(
  from: Float32Array,
  count: number,
  long: number,
  step: number,
  stride: number,
  reach: number,
  sign: 1 | -1,
) {
  const out = new Float32Array(from.length);
  for (let line = 0; line < count; line++)
    for (let k = 0; k < long; k++) {
      let most = -Infinity;
      for (let j = Math.max(0, k - reach); j <= Math.min(long - 1, k + reach); j++)
        most = Math.max(most, sign * (from[line * stride + j * step] as number));
      out[line * stride + k * step] = sign * most;
    }
  return out;
}

/** How far the lightest and the darkest lie apart near each place, L*. */
export function contrastNear(plane: Plane): Float32Array {
  const { width, height, data } = squinted(plane);
  const reach = Math.max(1, Math.round((MEET * width) / 2));
  const most = (sign: 1 | -1) =>
    extremes(extremes(data, height, width, 1, width, reach, sign), width, height, width, 1, reach, sign);
  const [light, dark] = [most(1), most(-1)];
  return light.map((l, i) => l - (dark[i] as number));
}

function focusOf(plane: Plane): WholePicture['focus'] {
  const near = contrastNear(plane);
  const contrast = near.reduce((m, c) => Math.max(m, c), 0);
  const at = near.indexOf(contrast);
  return { box: boxAbout(at, plane), contrast };
}

function boxAbout(i: number, { width, height }: Plane): ShareBox {
  const half = Math.max(1, Math.round((MEET * width) / 2));
  const [x, y] = [i % width, Math.floor(i / width)];
  const around = [
    Math.max(0, x - half),
    Math.max(0, y - half),
    Math.min(width, x + half + 1),
    Math.min(height, y + half + 1),
  ] as const;
  return shareBox(around, { width, height });
}

/** A plane of L* as a whole; what is NaN in it is not known. `ends` are those that its thirds lie between. */
export function wholePicture(plane: Plane, { light, dark }: Ends): WholePicture {
  const known = plane.data.filter((l) => !Number.isNaN(l));
  const third = (light - dark) / 3;
  const shareOf = (of: (l: number) => boolean) => known.filter(of).length / Math.max(1, known.length);
  const soft = squinted(plane);
  const masked = (of: (l: number) => boolean) =>
    patternOf(
      soft,
      Uint8Array.from(soft.data, (l) => (of(l) ? 1 : 0)),
    );
  const [isLight, isDark] = [(l: number) => l >= light - third, (l: number) => l <= dark + third];
  const thirds = { light: shareOf(isLight), dark: shareOf(isDark) };
  return {
    curve: quantiles(known, CURVE),
    thirds: { ...thirds, middle: Math.max(0, 1 - thirds.light - thirds.dark) },
    lights: masked(isLight),
    darks: masked(isDark),
    focus: focusOf(plane),
  };
}

/** How much of a plane's largest contrast there is inside a box. */
export function shareOfFocus(plane: Plane, { x, y, width, height }: ShareBox): number {
  const near = contrastNear(plane);
  const most = near.reduce((m, c) => Math.max(m, c), 0);
  let here = 0;
  for (let row = Math.floor(y * plane.height); row < (y + height) * plane.height; row++)
    for (let column = Math.floor(x * plane.width); column < (x + width) * plane.width; column++)
      here = Math.max(here, near[row * plane.width + column] ?? 0);
  return here / Math.max(1e-6, most);
}
