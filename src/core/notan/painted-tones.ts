/**
 * The tones that a painting has, from its own lightnesses: exact k-means in one dimension by dynamic programming (H. Wang and
 * M. Song, "Ckmeans.1d.dp", The R Journal 3/2, 2011) over lightnesses to a quarter of L*.
 */
import { piecewiseFits } from '../fitting/piecewise';
import type { Raster } from '../raster/raster';
import { sharesOf, tonesBy } from '../tones/tones';

/** Bins a unit of L*, from below black to above white: readings are noisy. */
const PER_UNIT = 4;
const [FROM, TO] = [-10, 115];
const BINS = (TO - FROM) * PER_UNIT;

/** Steeper than this (L* over four places) is an edge between tones, and none of its own. */
const EDGE = 5;
/** Tones nearer to each other than this (L*) are one, and so little (share) of one is a speck. */
const ONE_TONE = 8;
const SPECK = 0.003;

export interface PaintedTones {
  /** Tone of each place, 1 the lightest. */
  readonly toneOf: Uint8Array;
  /** Mean lightness (L*) and share of each tone, and the standard deviation about it, the lightest first: as many as can be told apart. */
  readonly tones: readonly { readonly lightness: number; readonly share: number; readonly spread: number }[];
}

/** 1 on places that are no edge between two tones. */
function flatPlaces({ data, width, height }: Raster<'lightness', 1>): Uint8Array {
  const flat = new Uint8Array(data.length);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const at = (dx: number, dy: number) =>
        data[Math.min(height - 1, Math.max(0, y + dy)) * width + Math.min(width - 1, Math.max(0, x + dx))] as number;
      if (Math.abs(at(2, 0) - at(-2, 0)) <= EDGE && Math.abs(at(0, 2) - at(0, -2)) <= EDGE) flat[y * width + x] = 1;
    }
  return flat;
}

function countsOf(data: Float32Array, flat: Uint8Array): Float64Array {
  const counts = new Float64Array(BINS);
  data.forEach((l, i) => {
    if (flat[i] !== 1) return;
    const bin = Math.min(BINS - 1, Math.max(0, Math.floor((l - FROM) * PER_UNIT)));
    counts[bin] = (counts[bin] as number) + 1;
  });
  return counts;
}

/** Means (rising, L*) and shares of the best `count` classes of a histogram; null where there are fewer lightnesses. */
function classes(counts: Float64Array, count: number): { mean: number; share: number }[] | null {
  const filled = Array.from(counts.keys()).filter((i) => (counts[i] as number) > 0);
  if (filled.length < count) return null;
  const values = Float64Array.from(filled, (i) => FROM + (i + 0.5) / PER_UNIT);
  const weights = Float64Array.from(filled, (i) => counts[i] as number);
  const total = weights.reduce((a, b) => a + b, 0);
  const cuts = piecewiseFits(values, count, 1, values.length, weights).cuts(count);
  return Array.from({ length: count }, (_, k) => {
    let [n, sum] = [0, 0];
    for (let i = cuts[k] as number; i < (cuts[k + 1] as number); i++)
      [n, sum] = [n + (weights[i] as number), sum + (weights[i] as number) * (values[i] as number)];
    return { mean: sum / n, share: n / total };
  });
}

/** Up to `most` tones of a painting: as many as lie far enough apart and are more than a speck. */
export function paintedTones(plane: Raster<'lightness', 1>, most: number): PaintedTones {
  const flat = flatPlaces(plane);
  const counts = countsOf(plane.data, flat);
  const told = (count: number): number[] => {
    const found = classes(counts, count);
    if (
      found &&
      (count === 1 ||
        found.every((c, k) => c.share >= SPECK && (k === 0 || c.mean - (found[k - 1]?.mean ?? 0) >= ONE_TONE)))
    )
      return found.map((c) => c.mean);
    return count === 1 ? [50] : told(count - 1);
  };
  const means = told(most);
  const thresholds = means.slice(1).map((m, k) => (m + (means[k] as number)) / 2);
  const toneOf = tonesBy(plane, thresholds);
  const shares = sharesOf(toneOf, means.length);
  const falling = [...means].reverse();
  const [squares, places] = [new Float64Array(means.length), new Float64Array(means.length)];
  // The soft edge between two tones is no unevenness of either.
  plane.data.forEach((l, i) => {
    if (flat[i] !== 1) return;
    const k = (toneOf[i] as number) - 1;
    squares[k] = (squares[k] as number) + (l - (falling[k] as number)) ** 2;
    places[k] = (places[k] as number) + 1;
  });
  return {
    toneOf,
    tones: shares.map((share, k) => ({
      lightness: falling[k] as number,
      share,
      spread: Math.sqrt((squares[k] as number) / Math.max(1, places[k] as number)),
    })),
  };
}
