/** Parts of a painting that are too light or too dark for what the whole of it is: neighbours that are off alike are told as one. */
import { forEachTouching } from '../../raster/touching';
import type { ReadPart, ReadParts } from './read-parts';
import type { LeftBeside } from './value-curve';

export interface Region {
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

interface Off extends ReadPart {
  readonly delta: number;
  readonly residual: number;
}

/** Parts that touch and are off alike, together; what lies in two named shapes is two. */
function alike(off: readonly Off[], touching: Touching, shapeOf: ReadonlyMap<number, number>): Off[][] {
  const own = new Map(off.map((p) => [p.id, p]));
  const group = new Map(off.map((p) => [p.id, p.id]));
  const root = (id: number): number => {
    let r = id;
    while (group.get(r) !== r) r = group.get(r) as number;
    return r;
  };
  for (const { id: a, residual } of off)
    for (const b of touching.get(a) ?? []) {
      const other = own.get(b);
      if (other && shapeOf.get(a) === shapeOf.get(b) && Math.abs(residual - other.residual) < ALIKE)
        group.set(root(a), root(b));
    }
  const groups = new Map<number, Off[]>();
  for (const part of off) groups.set(root(part.id), [...(groups.get(root(part.id)) ?? []), part]);
  return [...groups.values()];
}

/**
 * Regions whose residual is beyond `tolerance` (L*), the largest first. `numbers` say which named shape each place is of.
 */
export function regionsOf(
  { cut, parts }: ReadParts,
  left: LeftBeside,
  tolerance: number,
  numbers: Uint8Array,
): Region[] {
  const off = parts
    .map((p): Off => ({ ...p, delta: p.painted - p.target, residual: left(p) }))
    .filter((p) => Math.abs(p.residual) > tolerance);
  const touching = neighbours(cut);
  const shapeOf = new Map<number, number>();
  cut.partOf.forEach((part, i) => shapeOf.set(part, numbers[i] as number));
  const regions = alike(off, touching, shapeOf)
    .map((own) => {
      const area = own.reduce((s, p) => s + p.area, 0);
      const mean = (of: 'delta' | 'residual') => own.reduce((s, p) => s + p.area * p[of], 0) / area;
      return {
        parts: own.map((p) => p.id),
        area,
        deltaLightness: mean('delta'),
        residual: mean('residual'),
        depth: Math.max(...own.map((p) => p.depth)),
      };
    })
    .filter((r) => r.depth >= LEAST_DEPTH && r.area >= LEAST_AREA)
    .sort((a, b) => b.area - a.area);
  return regions
    .filter((region) => !regions.some((other) => isRimOf(region, other, touching)))
    .map(({ depth: _, ...region }) => region);
}

/** Thinner ones (places) beside a larger one that is off the same way, and further, are where the brush led from it. */
const RIM = { depth: 4.5, area: 0.3 } as const;

function isRimOf(region: Region & { readonly depth: number }, other: Region, touching: Touching): boolean {
  return (
    region.depth < RIM.depth &&
    region.area < RIM.area * other.area &&
    Math.sign(region.residual) === Math.sign(other.residual) &&
    Math.abs(other.residual) > Math.abs(region.residual) &&
    region.parts.some((part) => other.parts.some((beside) => touching.get(part)?.has(beside)))
  );
}

/** Which parts touch each part. */
type Touching = ReadonlyMap<number, ReadonlySet<number>>;

function neighbours(cut: ReadParts['cut']): Touching {
  const touching = new Map<number, Set<number>>();
  forEachTouching(cut, (i, j) => {
    const [a, b] = [cut.partOf[i] as number, cut.partOf[j] as number];
    if (a === b) return;
    touching.set(a, (touching.get(a) ?? new Set()).add(b));
    touching.set(b, (touching.get(b) ?? new Set()).add(a));
  });
  return touching;
}
