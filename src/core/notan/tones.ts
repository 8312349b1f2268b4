/** A picture reduced to few tones: which tone each place has, how much there is of each, and the shapes that they make. */
import type { Raster } from '../raster/raster';

/** Tone of each place, 1 the lightest, from rising thresholds (L*); a place on a threshold belongs to the darker tone. */
export function tonesBy({ data }: Raster<'lightness', 1>, thresholds: readonly number[]): Uint8Array {
  return Uint8Array.from(data, (l) => 1 + thresholds.reduce((above, t) => above + (l <= t ? 1 : 0), 0));
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

/** The shapes that tones make, largest first: places of one tone that hang together by their sides. Also which shape each place is of. */
export function toneShapes(tones: Uint8Array, width: number): { readonly shapes: readonly ToneShape[]; readonly shapeOf: Int32Array } {
  const shapeOf = new Int32Array(tones.length).fill(-1);
  const found: ToneShape[] = [];
  const stack: number[] = [];
  for (let start = 0; start < tones.length; start++) {
    if (shapeOf[start] !== -1) continue;
    const tone = tones[start] as number;
    const box = { x0: width, y0: Infinity, x1: 0, y1: 0 };
    let places = 0;
    shapeOf[start] = found.length;
    stack.push(start);
    while (stack.length > 0) {
      const i = stack.pop() as number;
      const [x, y] = [i % width, Math.floor(i / width)];
      places++;
      box.x0 = Math.min(box.x0, x);
      box.x1 = Math.max(box.x1, x + 1);
      box.y0 = Math.min(box.y0, y);
      box.y1 = Math.max(box.y1, y + 1);
      const visit = (k: number) => {
        if (tones[k] !== tone || shapeOf[k] !== -1) return;
        shapeOf[k] = found.length;
        stack.push(k);
      };
      if (x > 0) visit(i - 1);
      if (x + 1 < width) visit(i + 1);
      visit(i - width);
      visit(i + width);
    }
    found.push({ tone, places, box, at: start });
  }
  const order = found.map((_, k) => k).sort((a, b) => (found[b] as ToneShape).places - (found[a] as ToneShape).places);
  const rank = new Int32Array(found.length);
  order.forEach((k, place) => (rank[k] = place));
  return { shapes: order.map((k) => found[k] as ToneShape), shapeOf: shapeOf.map((k) => rank[k] as number) };
}
