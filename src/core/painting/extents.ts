/** Named shapes that grew or shrank at the cost of what they meet within one object, and shapes that are full of detail where the reference is quiet. */
import { quantile } from '../fitting/quantile';
import type { Plane } from '../raster/between';
import { quickBlur } from '../raster/blur';
import { squaredDistances } from '../raster/distance';
import { objectOf } from '../tones/mass';
import { movedEdge } from './edges';
import { boxOf, maskOn, type ShapePlane } from './named-shapes';
import type { PaintingResult } from './result';

type Extent = Omit<PaintingResult['extents'][number], 'id'>;

/** An edge that moved by this share of the shape's width is told, and never less than this many widths of the picture: hands stray. */
const GREW = 0.065;
const LEAST = 0.0035;
/** And only where moving it back does away with so much of what differs. */
const EXPLAINS = 0.25;
/** Detail lies between these sizes, widths of the picture. */
const DETAIL = { from: 0.004, to: 0.02 } as const;
/** It is told where it is so much livelier than the reference, L*, and than what the brush leaves in most other shapes. */
const LIVELY = { least: 2.2, times: 2.5 } as const;
/** So near to a shape's outline, widths, its edge would count as detail. */
const OUTLINE = 0.02;

const count = (mask: Uint8Array) => mask.reduce((s, m) => s + m, 0);

/** What lies between two sizes in a plane. */
function band({ width, height, data }: Plane): Float32Array {
  const [fine, coarse] = [DETAIL.from, DETAIL.to].map((s) => quickBlur(data, width, height, s * width)) as [
    Float32Array,
    Float32Array,
  ];
  return fine.map((v, i) => v - (coarse[i] as number));
}

/** Extents that are off; `wanted` is L* as the reference should have become, `painted` what it became on the same places. */
export function extentsOf(shapes: ShapePlane, wanted: Plane, painted: Plane): Extent[] {
  const { width, height } = wanted;
  const filled = { ...painted, data: painted.data.map((l, i) => (Number.isNaN(l) ? (wanted.data[i] as number) : l)) };
  const masks = shapes.names.map((_, k) => maskOn(shapes, k + 1, wanted));
  return [...grown(shapes.names, masks, wanted, filled), ...lively(shapes.names, masks, wanted, filled)].flatMap(
    ({ shape, kind, by }): Extent[] => {
      const box = boxOf(masks[shape] as Uint8Array, width, height);
      return box ? [{ box, name: shapes.names[shape] ?? null, kind, by }] : [];
    },
  );
}

interface Told {
  readonly shape: number;
  readonly kind: Extent['kind'];
  readonly by: number;
}

/** Of two shapes of one object that meet, the smaller one is told to be too wide or too narrow. */
function grown(names: readonly string[], masks: readonly Uint8Array[], wanted: Plane, painted: Plane): Told[] {
  return masks.flatMap((first, a) =>
    masks.slice(a + 1).flatMap((second, k): Told[] => {
      const b = a + 1 + k;
      if (objectOf({ name: names[a] ?? '' }) !== objectOf({ name: names[b] ?? '' })) return [];
      const edge = movedEdge(first, second, wanted, painted);
      if (!edge) return [];
      const [small, of, by] = count(first) <= count(second) ? [first, a, edge.by] : [second, b, -edge.by];
      const wide = count(small) / edge.long;
      const share = by / wide;
      if (Math.abs(share) < GREW || Math.abs(by) < LEAST * wanted.width || edge.explains < EXPLAINS) return [];
      return [{ shape: of, kind: by > 0 ? 'wide' : 'narrow', by: share }];
    }),
  );
}

/** Shapes with more to see in them than the reference has there. */
function lively(names: readonly string[], masks: readonly Uint8Array[], wanted: Plane, painted: Plane): Told[] {
  const [own, made] = [band(wanted), band(painted)];
  const read = names.map((_, shape) => {
    const mask = masks[shape] as Uint8Array;
    const far = squaredDistances(
      mask.map((m) => 1 - m),
      wanted.width,
      wanted.height,
    );
    const least = (OUTLINE * wanted.width) ** 2;
    let [n, before, after] = [0, 0, 0];
    mask.forEach((m, i) => {
      if (m !== 1 || (far[i] as number) < least) return;
      n++;
      before += (own[i] as number) ** 2;
      after += (made[i] as number) ** 2;
    });
    return { shape, n, more: n === 0 ? 0 : Math.sqrt(Math.max(0, (after - before) / n)) };
  });
  const enough = read.filter((r) => r.n > (DETAIL.to * wanted.width) ** 2);
  if (enough.length === 0) return [];
  const usual = quantile(
    enough.map((r) => r.more),
    0.5,
  );
  const limit = Math.max(LIVELY.least, LIVELY.times * usual);
  return enough.flatMap(({ shape, more }): Told[] => (more > limit ? [{ shape, kind: 'detail', by: more }] : []));
}
