/** Named shapes that grew or shrank at the cost of what they meet within one object, and shapes that are full of detail where the reference is quiet. */
import { quantile } from '../fitting/quantile';
import { type Plane, shrunk } from '../raster/between';
import { quickBlur } from '../raster/blur';
import { squaredDistances } from '../raster/distance';
import { objectOf } from '../tones/mass';
import { movedEdge } from './edges';
import { boxOf, maskOn, type ShapePlane } from './named-shapes';
import type { PaintingResult } from './result';

type Extent = Omit<PaintingResult['extents'][number], 'id'>;

/** An edge that moved by this share of the shape's width is told, and never less than this many widths of the picture: hands stray. */
const GREW = 0.045;
const LEAST = 0.0035;
/** And only where moving it back does away with so much of what differs. */
const EXPLAINS = 0.25;
/** Edges and detail show on a grid that is so much coarser than lines need. */
const COARSER = 2;
/** Detail lies between these sizes, widths of the picture. */
const DETAIL = { from: 0.006, to: 0.03 } as const;
/** It is told where it is so much livelier than the reference, L*, and than what the brush leaves in most other shapes. */
const LIVELY = { least: 2.4, times: 2.5 } as const;
/** So near to a shape's outline, widths, the hand strays. */
const OUTLINE = 0.008;

const count = (mask: Uint8Array) => mask.reduce((s, m) => s + m, 0);

/** Extents that are off; `wanted` is L* as the reference should have become, `painted` what it became on the same places. */
export function extentsOf(shapes: ShapePlane, wanted: Plane, painted: Plane): Extent[] {
  const filled = { ...painted, data: painted.data.map((l, i) => (Number.isNaN(l) ? (wanted.data[i] as number) : l)) };
  const [own, made] = [wanted, filled].map((plane) =>
    shrunk(plane, Math.round(plane.width / COARSER), Math.round(plane.height / COARSER)),
  ) as [Plane, Plane];
  const { width, height } = own;
  const masks = shapes.names.map((_, k) => maskOn(shapes, k + 1, own));
  const reaches = grown(shapes.names, masks, own, wanted, filled);
  // An edge that moved looks like detail beside its old place.
  const elsewhere = new Set(reaches.map(({ shape }) => shape));
  const details = lively(masks, own, made).filter(({ shape }) => !elsewhere.has(shape));
  return [...reaches, ...details].flatMap(({ shape, kind, by }): Extent[] => {
    const box = boxOf(masks[shape] as Uint8Array, width, height);
    return box ? [{ box, name: shapes.names[shape] ?? null, kind, by }] : [];
  });
}

interface Told {
  readonly shape: number;
  readonly kind: Extent['kind'];
  readonly by: number;
}

/** Of two shapes of one object that meet, the smaller one is told to be too wide or too narrow. */
function grown(
  names: readonly string[],
  masks: readonly Uint8Array[],
  grid: Pick<Plane, 'width' | 'height'>,
  wanted: Plane,
  painted: Plane,
): Told[] {
  return masks.flatMap((first, a) =>
    masks.slice(a + 1).flatMap((second, k): Told[] => {
      const b = a + 1 + k;
      if (objectOf({ name: names[a] ?? '' }) !== objectOf({ name: names[b] ?? '' })) return [];
      const edge = movedEdge(first, second, grid, wanted, painted);
      if (!edge) return [];
      const [small, of, by] = count(first) <= count(second) ? [first, a, edge.by] : [second, b, -edge.by];
      const wide = count(small) / edge.long;
      const share = by / wide;
      if (Math.abs(share) < GREW || Math.abs(by) < LEAST * grid.width || edge.explains < EXPLAINS) return [];
      return [{ shape: of, kind: by > 0 ? 'wide' : 'narrow', by: share }];
    }),
  );
}

/** What lies between two sizes in a plane, within a mask: nothing of what lies beside it leaks in. Mean square over its inside. */
function liveliness({ width, height, data }: Plane, mask: Float32Array, inside: readonly number[]): number {
  const own = data.map((l, i) => l * (mask[i] as number));
  const [fine, coarse] = [DETAIL.from, DETAIL.to].map((size) => {
    const [sum, share] = [own, mask].map((plane) => quickBlur(plane, width, height, size * width)) as [
      Float32Array,
      Float32Array,
    ];
    return (i: number) => (sum[i] as number) / (share[i] as number);
  }) as [(i: number) => number, (i: number) => number];
  return inside.reduce((sum, i) => sum + (fine(i) - coarse(i)) ** 2, 0) / inside.length;
}

/** Shapes with more to see in them than the reference has there. */
function lively(masks: readonly Uint8Array[], wanted: Plane, painted: Plane): Told[] {
  const { width, height } = wanted;
  const read = masks.flatMap((mask, shape) => {
    const far = squaredDistances(
      mask.map((m) => 1 - m),
      width,
      height,
    );
    const inside: number[] = [];
    far.forEach((d, i) => {
      if (d > (OUTLINE * width) ** 2) inside.push(i);
    });
    if (inside.length < (DETAIL.to * width) ** 2) return [];
    const own = Float32Array.from(mask);
    const more = liveliness(painted, own, inside) - liveliness(wanted, own, inside);
    return [{ shape, more: Math.sqrt(Math.max(0, more)) }];
  });
  const usual =
    read.length === 0
      ? 0
      : quantile(
          read.map((r) => r.more),
          0.5,
        );
  const limit = Math.max(LIVELY.least, LIVELY.times * usual);
  return read.flatMap(({ shape, more }): Told[] => (more > limit ? [{ shape, kind: 'detail', by: more }] : []));
}
