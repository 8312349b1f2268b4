/**
 * A picture cut into parts that are one thing to the eye: neighbours are joined while they differ no more than what lies in
 * each of them, and a little more for small ones. P. F. Felzenszwalb and D. P. Huttenlocher, "Efficient graph-based image
 * segmentation", IJCV 59 (2004), on planes that are weighed together.
 */
import type { Plane } from '../../raster/between';
import { forEachTouching } from '../../raster/touching';

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
  const rank = new Uint32Array(weight.length);
  let most = 0;
  for (let k = 0; k < rank.length; k++) {
    rank[k] = Math.floor((weight[k] as number) / FINENESS);
    most = Math.max(most, rank[k] as number);
  }
  const starts = new Uint32Array(most + 2);
  for (const r of rank) starts[r + 1] = (starts[r + 1] as number) + 1;
  for (let r = 1; r < starts.length; r++) starts[r] = (starts[r] as number) + (starts[r - 1] as number);
  const order = new Uint32Array(weight.length);
  for (let k = 0; k < rank.length; k++) {
    const r = rank[k] as number;
    const at = starts[r] as number;
    order[at] = k;
    starts[r] = at + 1;
  }
  return order;
}

interface Pairs {
  readonly from: Int32Array;
  readonly to: Int32Array;
}

/** Places that touch, in pairs. */
function pairsOf(grid: Plane): Pairs {
  const most = 2 * grid.data.length;
  const [from, to] = [new Int32Array(most), new Int32Array(most)];
  let count = 0;
  forEachTouching(grid, (i, j) => {
    from[count] = i;
    to[count++] = j;
  });
  return { from: from.subarray(0, count), to: to.subarray(0, count) };
}

/** How far the places of each pair differ, in all planes together. */
function differencesOf({ from, to }: Pairs, { planes, numbers }: Pick<CutRequest, 'planes' | 'numbers'>): Float32Array {
  const out = new Float32Array(from.length);
  for (const { plane, weight } of planes) {
    const { data } = plane;
    for (let k = 0; k < out.length; k++) {
      const d = weight * ((data[from[k] as number] as number) - (data[to[k] as number] as number));
      out[k] = (out[k] as number) + d * d;
    }
  }
  for (let k = 0; k < out.length; k++) out[k] = Math.sqrt(out[k] as number);
  if (numbers)
    for (let k = 0; k < out.length; k++)
      if (numbers[from[k] as number] !== numbers[to[k] as number]) out[k] = (out[k] as number) + TWO;
  return out;
}

/** Cuts planes of L* into parts; what is smaller than the least part may be joined to another number. Throws RangeError without any plane. */
export function segments({ planes, scale, least, numbers }: CutRequest): Segments {
  const first = planes[0];
  if (!first) throw new RangeError('There is nothing to cut.');
  const { width, height } = first.plane;
  const n = width * height;
  const pairs = pairsOf(first.plane);
  const differences = differencesOf(pairs, { planes, numbers });
  const order = byWeight(differences);
  const parent = new Int32Array(n).map((_, i) => i);
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
    const [a, b] = [root(pairs.from[k] as number), root(pairs.to[k] as number)];
    const weight = differences[k] as number;
    const allowed = (r: number) => (within[r] as number) + scale / (size[r] as number);
    if (a !== b && weight <= Math.min(allowed(a), allowed(b))) join(a, b, weight);
  }
  for (const k of order) {
    const [a, b] = [root(pairs.from[k] as number), root(pairs.to[k] as number)];
    if (a !== b && Math.min(size[a] as number, size[b] as number) < least)
      join(a, b, Math.max(within[a] as number, within[b] as number));
  }
  const numberOf = new Int32Array(n).fill(-1);
  const partOf = new Int32Array(n);
  let parts = 0;
  for (let i = 0; i < n; i++) {
    const r = root(i);
    if (numberOf[r] === -1) numberOf[r] = parts++;
    partOf[i] = numberOf[r] as number;
  }
  return { width, height, partOf, count: parts };
}
