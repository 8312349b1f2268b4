/** Parts of a painting that are too light or too dark for what the whole of it is: neighbours that are off alike are told as one. */
import type { ShareBox } from '../geometry/share-box';
import { onCurve, type ValueCurve } from './value-curve';
import type { ReadParts } from './read-parts';

export interface Region {
  readonly box: ShareBox;
  /** Parts of the cut that it is of. */
  readonly parts: readonly number[];
  readonly area: number;
  /** Painted less wanted, L*: positive where the painting is too light. */
  readonly deltaLightness: number;
  /** What is left of it beside the curve of the whole. */
  readonly residual: number;
}

/** Neighbours that are off by amounts nearer than this are off alike, L*. */
const ALIKE = 5;
/** Thinner ones (places from the middle to the edge) are outlines that stray, no shapes. */
const LEAST_DEPTH = 2;
/** Smaller ones (share of the picture) are none. */
const LEAST_AREA = 0.003;

/**
 * Regions whose residual is beyond `tolerance` (L*), the largest first. `numbers` say which named shape each place is of: what
 * lies in two of them is two.
 */
export function regionsOf(
  { cut, parts }: ReadParts,
  curve: ValueCurve,
  tolerance: number,
  numbers: Uint8Array,
): Region[] {
  const { width, height, partOf } = cut;
  const read = new Map(
    parts.map((p) => [p.id, { ...p, delta: p.painted - p.target, residual: p.painted - onCurve(curve, p.target) }]),
  );
  const off = [...read.values()].filter((p) => Math.abs(p.residual) > tolerance);
  const group = new Map(off.map((p) => [p.id, p.id]));
  const root = (id: number): number => {
    let r = id;
    while (group.get(r) !== r) r = group.get(r) as number;
    return r;
  };
  const touching = neighbours(cut);
  const shapeOf = new Map<number, number>();
  partOf.forEach((part, i) => shapeOf.set(part, numbers[i] as number));
  for (const { id: a, residual } of off)
    for (const b of touching.get(a) ?? [])
      if (
        group.has(b) &&
        shapeOf.get(a) === shapeOf.get(b) &&
        Math.abs(residual - (read.get(b)?.residual ?? 0)) < ALIKE
      )
        group.set(root(a), root(b));
  const boxes = new Map<number, { x0: number; y0: number; x1: number; y1: number }>();
  for (let i = 0; i < partOf.length; i++) {
    const part = partOf[i] as number;
    if (!group.has(part)) continue;
    const r = root(part);
    const [x, y] = [i % width, Math.floor(i / width)];
    const box = boxes.get(r);
    if (!box) boxes.set(r, { x0: x, y0: y, x1: x + 1, y1: y + 1 });
    else {
      box.x0 = Math.min(box.x0, x);
      box.x1 = Math.max(box.x1, x + 1);
      box.y1 = y + 1;
    }
  }
  const regions = [...boxes]
    .map(([r, box]) => {
      const own = off.filter((p) => root(p.id) === r);
      const area = own.reduce((s, p) => s + p.area, 0);
      const mean = (of: 'delta' | 'residual') => own.reduce((s, p) => s + p.area * p[of], 0) / area;
      return {
        box: {
          x: box.x0 / width,
          y: box.y0 / height,
          width: (box.x1 - box.x0) / width,
          height: (box.y1 - box.y0) / height,
        },
        parts: own.map((p) => p.id),
        area,
        deltaLightness: mean('delta'),
        residual: mean('residual'),
        depth: Math.max(...own.map((p) => p.depth)),
      };
    })
    .filter((r) => r.depth >= LEAST_DEPTH && r.area >= LEAST_AREA)
    .sort((a, b) => b.area - a.area);
  const meets = (a: readonly number[], b: readonly number[]) =>
    a.some((part) => b.some((other) => touching.get(part)?.has(other)));
  return regions
    .filter((region) => !regions.some((other) => isRimOf(region, other, meets)))
    .map(({ depth: _, ...region }) => region);
}

/** Thinner ones (places) beside a larger one that is off the same way, and further, are where the brush led from it. */
const RIM = { depth: 4.5, area: 0.3 } as const;

function isRimOf(
  region: Region & { readonly depth: number },
  other: Region,
  meets: (a: readonly number[], b: readonly number[]) => boolean,
): boolean {
  return (
    region.depth < RIM.depth &&
    region.area < RIM.area * other.area &&
    Math.sign(region.residual) === Math.sign(other.residual) &&
    Math.abs(other.residual) > Math.abs(region.residual) &&
    meets(region.parts, other.parts)
  );
}

/** Which parts touch each part. */
function neighbours({ partOf, width, height }: ReadParts['cut']): ReadonlyMap<number, ReadonlySet<number>> {
  const touching = new Map<number, Set<number>>();
  const meet = (a: number, b: number) => {
    if (a === b) return;
    touching.set(a, (touching.get(a) ?? new Set()).add(b));
    touching.set(b, (touching.get(b) ?? new Set()).add(a));
  };
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const i = y * width + x;
      const own = partOf[i] as number;
      if (x + 1 < width) meet(own, partOf[i + 1] as number);
      if (y + 1 < height) meet(own, partOf[i + width] as number);
    }
  return touching;
}
