/**
 * A picture cut into parts that are one thing to the eye: neighbours are joined while they differ no more than what lies in
 * each of them, and a little more for small ones. P. F. Felzenszwalb and D. P. Huttenlocher, "Efficient graph-based image
 * segmentation", IJCV 59 (2004), on planes that are weighed together.
 */
import type { Plane } from '../raster/between';
import { forEachTouching } from '../raster/touching';

export interface Segments {
  readonly width: number;
  readonly height: number;
  /** Number from 0 of the part that each place is of. */
  readonly partOf: Int32Array;
  readonly count: number;
}

export interface CutRequest {
  /** Planes of one size, all in L*, and what a step in each weighs. */
  readonly planes: readonly { readonly plane: Plane; readonly weight: number }[];
  /** How much more than within itself a small part may differ from a neighbour: L* times places. */
  readonly scale: number;
  /** Places of two numbers are of two parts; left out where all may be one. */
  readonly numbers?: Uint8Array | undefined;
  /** Smaller parts (places) are joined to the neighbour that is most alike. */
  readonly least: number;
}

/** Places of two numbers differ by so much more, L*. */
const TWO = 200;
/** Edges are put in order to so much of an L*: finer differences are grain. */
const FINENESS = 1 / 64;

/** Indices by rising weight, equal ones in their own order. */
function byWeight(weight: Float32Array): Uint32Array {
  const rank = Int32Array.from(weight, (w) => Math.floor(w / FINENESS));
  const starts = new Uint32Array(rank.reduce((a, b) => Math.max(a, b), 0) + 2);
  for (const r of rank) starts[r + 1] = (starts[r + 1] as number) + 1;
  for (let r = 1; r < starts.length; r++) starts[r] = (starts[r] as number) + (starts[r - 1] as number);
  const order = new Uint32Array(weight.length);
  rank.forEach((r, k) => {
    const at = starts[r] as number;
    order[at] = k;
    starts[r] = at + 1;
  });
  return order;
}

/** Cuts planes of L* into parts; what is smaller than the least part may be joined to another number. Throws RangeError without any plane. */
export function segments({ planes, scale, least, numbers }: CutRequest): Segments {
  const first = planes[0];
  if (!first) throw new RangeError('There is nothing to cut.');
  const { width, height } = first.plane;
  const n = width * height;
  const differ = (i: number, j: number) => {
    let sum = 0;
    for (const { plane, weight } of planes) {
      const d = weight * ((plane.data[i] as number) - (plane.data[j] as number));
      sum += d * d;
    }
    return Math.sqrt(sum) + (numbers && numbers[i] !== numbers[j] ? TWO : 0);
  };
  const edges: { readonly from: Int32Array; readonly to: Int32Array; readonly weight: Float32Array } = {
    from: new Int32Array(2 * n),
    to: new Int32Array(2 * n),
    weight: new Float32Array(2 * n),
  };
  let count = 0;
  forEachTouching(first.plane, (i, j) => {
    edges.from[count] = i;
    edges.to[count] = j;
    edges.weight[count++] = differ(i, j);
  });
  const order = byWeight(edges.weight.subarray(0, count));
  const parent = Int32Array.from({ length: n }, (_, i) => i);
  const size = new Int32Array(n).fill(1);
  const within = new Float32Array(n);
  const root = (i: number): number => {
    let r = i;
    while (parent[r] !== r) r = parent[r] = parent[parent[r] as number] as number;
    return r;
  };
  const join = (a: number, b: number, weight: number) => {
    const [big, small] = (size[a] as number) >= (size[b] as number) ? [a, b] : [b, a];
    parent[small] = big;
    size[big] = (size[big] as number) + (size[small] as number);
    within[big] = weight;
  };
  for (const k of order) {
    const [a, b] = [root(edges.from[k] as number), root(edges.to[k] as number)];
    const weight = edges.weight[k] as number;
    const allowed = (r: number) => (within[r] as number) + scale / (size[r] as number);
    if (a !== b && weight <= Math.min(allowed(a), allowed(b))) join(a, b, weight);
  }
  for (const k of order) {
    const [a, b] = [root(edges.from[k] as number), root(edges.to[k] as number)];
    if (a !== b && Math.min(size[a] as number, size[b] as number) < least)
      join(a, b, Math.max(within[a] as number, within[b] as number));
  }
  const number = new Map<number, number>();
  const partOf = Int32Array.from({ length: n }, (_, i) => {
    const r = root(i);
    const own = number.get(r) ?? number.size;
    number.set(r, own);
    return own;
  });
  return { width, height, partOf, count: number.size };
}
