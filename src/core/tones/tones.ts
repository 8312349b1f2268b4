/** A picture reduced to few tones: which tone each place has, how much there is of each, and the shapes that they make. */
import type { Raster } from '../raster/raster';

/** Tone of each place, 1 the lightest, from rising thresholds (L*); a place on a threshold belongs to the darker tone. */
export function tonesBy({ data }: Raster<'lightness', 1>, thresholds: readonly number[]): Uint8Array {
  const out = new Uint8Array(data.length);
  const lines = Float64Array.from(thresholds);
  for (let i = 0; i < data.length; i++) {
    const l = data[i] as number;
    let tone = 1;
    for (let k = 0; k < lines.length; k++) if (l <= (lines[k] as number)) tone++;
    out[i] = tone;
  }
  return out;
}

/** Share of each tone, tone 1 first. */
export function sharesOf(tones: Uint8Array, count: number): number[] {
  const places = new Float64Array(count);
  for (const t of tones) if (t > 0) places[t - 1] = (places[t - 1] as number) + 1;
  return Array.from(places, (n) => n / Math.max(1, tones.length));
}

export interface ToneShape {
  readonly tone: number;
  /** Places that hang together by their sides. */
  readonly places: number;
  /** Place indexes: left, top, and one past right and bottom. */
  readonly box: { readonly x0: number; readonly y0: number; readonly x1: number; readonly y1: number };
  /** A place of the shape. */
  readonly at: number;
}

/**
 * The shapes that tones make, largest first: places of one tone that hang together by their sides. Also which shape each place
 * is of. Labels are joined while the picture is gone through once, row by row (A. Rosenfeld and J. L. Pfaltz, "Sequential
 * operations in digital picture processing", Journal of the ACM 13, 1966).
 */
export function toneShapes(
  tones: ArrayLike<number>,
  width: number,
): { readonly shapes: readonly ToneShape[]; readonly shapeOf: Int32Array } {
  const n = tones.length;
  const label = new Int32Array(n);
  const parent: number[] = [];
  const root = (k: number): number => {
    let r = k;
    while (parent[r] !== r) r = parent[r] = parent[parent[r] as number] as number;
    return r;
  };
  for (let i = 0, x = 0; i < n; i++, x = x + 1 === width ? 0 : x + 1) {
    const tone = tones[i];
    const left = x > 0 && tones[i - 1] === tone ? (label[i - 1] as number) : -1;
    const above = i >= width && tones[i - width] === tone ? (label[i - width] as number) : -1;
    if (left < 0 && above < 0) label[i] = parent.push(parent.length) - 1;
    else if (left >= 0 && above >= 0 && left !== above) {
      const [a, b] = [root(left), root(above)];
      parent[Math.max(a, b)] = Math.min(a, b);
      label[i] = Math.min(a, b);
    } else label[i] = left >= 0 ? left : above;
  }
  const own = new Int32Array(parent.length).fill(-1);
  let count = 0;
  for (let k = 0; k < parent.length; k++) {
    const r = root(k);
    if (own[r] === -1) own[r] = count++;
    own[k] = own[r] as number;
  }
  const [places, at, x0, x1, y0, y1] = [
    new Int32Array(count),
    new Int32Array(count).fill(-1),
    new Int32Array(count).fill(width),
    new Int32Array(count),
    new Int32Array(count),
    new Int32Array(count),
  ];
  for (let i = 0, x = 0, y = 0; i < n; i++) {
    const k = own[label[i] as number] as number;
    label[i] = k;
    if (at[k] === -1) {
      at[k] = i;
      y0[k] = y;
    }
    places[k] = (places[k] as number) + 1;
    if (x < (x0[k] as number)) x0[k] = x;
    if (x >= (x1[k] as number)) x1[k] = x + 1;
    y1[k] = y + 1;
    if (++x === width) {
      x = 0;
      y++;
    }
  }
  const found = Array.from({ length: count }, (_, k): ToneShape => ({
    tone: tones[at[k] as number] as number,
    places: places[k] as number,
    at: at[k] as number,
    box: { x0: x0[k] as number, y0: y0[k] as number, x1: x1[k] as number, y1: y1[k] as number },
  }));
  const order = found.map((_, k) => k).sort((a, b) => (found[b] as ToneShape).places - (found[a] as ToneShape).places);
  const rank = new Int32Array(found.length);
  order.forEach((k, place) => (rank[k] = place));
  for (let i = 0; i < n; i++) label[i] = rank[label[i] as number] as number;
  return { shapes: order.map((k) => found[k] as ToneShape), shapeOf: label };
}
