/** Changes of how light a place is. Its colour stays: all three channels of linear light are multiplied alike. */
import { lightnessToLuminance, luminanceToLightness } from '../colour/lab';
import { LUMINANCE_WEIGHTS } from '../colour/xyz';
import type { Grid, Weights } from './mask';

const [RED, GREEN, BLUE] = LUMINANCE_WEIGHTS;
/** Below this luminance a place has no colour that could be kept. */
const BLACK = 1e-5;
/** A weight from which on a place gets all of a change. */
const WHOLE = 0.999;
/** Lightness in steps fine enough that their middles stand for what lies in them. */
const BINS = 1000;

/** Luminance of the place whose red is at `p`. */
export const luminanceAt = (picture: Float32Array, p: number) =>
  RED * (picture[p] as number) + GREEN * (picture[p + 1] as number) + BLUE * (picture[p + 2] as number);

/** Calls `each` for all places that a mask reaches, with where their red is in the picture and their weight. */
export function forEachIn(
  { box: [x0, y0], wide, tall, data }: Weights,
  { width }: Grid,
  each: (at: number, weight: number) => void,
): void {
  for (let y = 0, k = 0; y < tall; y++) {
    let p = 3 * ((y0 + y) * width + x0);
    for (let x = 0; x < wide; x++, k++, p += 3) if ((data[k] as number) > 0) each(p, data[k] as number);
  }
}

/** Sets the luminance of a place. What of its colour would leave the gamut is given up, and none of the light. */
function setLuminance(picture: Float32Array, p: number, wanted: number): void {
  const own = luminanceAt(picture, p);
  if (own < BLACK) {
    picture.fill(wanted, p, p + 3);
    return;
  }
  const gain = wanted / own;
  const [r, g, b] = [
    gain * (picture[p] as number),
    gain * (picture[p + 1] as number),
    gain * (picture[p + 2] as number),
  ];
  const [most, least] = [Math.max(r, g, b), Math.min(r, g, b)];
  // On the straight line to the grey of the same luminance.
  const kept = Math.min(
    1,
    most > 1 ? (1 - wanted) / Math.max(1e-9, most - wanted) : 1,
    least < 0 ? wanted / Math.max(1e-9, wanted - least) : 1,
  );
  picture[p] = wanted + kept * (r - wanted);
  picture[p + 1] = wanted + kept * (g - wanted);
  picture[p + 2] = wanted + kept * (b - wanted);
}

/** How many places of a shape are how light, in bins; of a shape that has no place of full weight, all of it. */
function histogramIn(picture: Float32Array, grid: Grid, weights: Weights): Float64Array {
  const bins = new Float64Array(BINS);
  const least = weights.data.some((w) => w >= WHOLE) ? WHOLE : 0;
  forEachIn(weights, grid, (p, weight) => {
    if (weight < least) return;
    const l = luminanceToLightness(luminanceAt(picture, p));
    const k = Math.min(BINS - 1, Math.max(0, Math.floor((l / 100) * BINS)));
    bins[k] = (bins[k] as number) + 1;
  });
  return bins;
}

/**
 * By how much all places are to be shifted so that their mean changes by `by`, L*: what is nearly black or white already can't go all
 * the way, and the rest goes further for it.
 */
function shiftFor(bins: Float64Array, by: number): number {
  const held = (l: number) => Math.min(100, Math.max(0, l));
  const count = bins.reduce((n, c) => n + c, 0);
  const meanOf = (shift: number) =>
    bins.reduce((sum, c, k) => sum + c * held(((k + 0.5) * 100) / BINS + shift), 0) / Math.max(1, count);
  const wanted = meanOf(0) + by;
  let [low, high] = by < 0 ? [-100, 0] : [0, 100];
  for (let i = 0; i < 30; i++) {
    const middle = (low + high) / 2;
    if (meanOf(middle) < wanted) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

/** Makes a shape lighter, or darker, so that its mean changes by `by`, L*; its rim less, as the mask fades. Changes `picture`. */
export function shiftLightness(picture: Float32Array, grid: Grid, weights: Weights, by: number): void {
  const shift = shiftFor(histogramIn(picture, grid, weights), by);
  forEachIn(weights, grid, (p, weight) => {
    const l = luminanceToLightness(luminanceAt(picture, p)) + weight * shift;
    setLuminance(picture, p, lightnessToLuminance(Math.min(100, Math.max(0, l))));
  });
}

/** Lays a new shape of one value over what is there, in the colour that is there on the whole. Changes `picture`. */
export function layShape(picture: Float32Array, grid: Grid, weights: Weights, lightness: number): void {
  const mean = new Float32Array(3);
  forEachIn(weights, grid, (p, weight) => {
    for (let c = 0; c < 3; c++) mean[c] = (mean[c] as number) + weight * (picture[p + c] as number);
  });
  setLuminance(mean, 0, lightnessToLuminance(lightness));
  forEachIn(weights, grid, (p, weight) => {
    for (let c = 0; c < 3; c++)
      picture[p + c] = (1 - weight) * (picture[p + c] as number) + weight * (mean[c] as number);
  });
}
