/** A painting laid on its reference and cut into parts: what each was to be, and what it became. */
import { between, type Plane } from '../../raster/between';
import { squaredDistances } from '../../raster/distance';
import { filledFrom } from '../../raster/filled-from';
import { type Affine, after, undone } from '../registration/affine';
import { segments, type Segments } from './segments';

/** A part of the picture that was painted as one. */
export interface ReadPart {
  readonly id: number;
  /** Of what lies well inside it, L*. */
  readonly target: number;
  readonly painted: number;
  /** Share of the picture. */
  readonly area: number;
  /** Places from its middle to its edge. */
  readonly depth: number;
}

export interface ReadParts {
  readonly cut: Segments;
  readonly parts: readonly ReadPart[];
}

/** What the painting has at a place of its reference (widths about the middle) under a map; past its edge NaN. */
function laidAt(painting: Plane, [a, b, tx, c, d, ty]: Affine, x: number, y: number): number {
  const u = (a * x + b * y + tx + 0.5) * painting.width;
  const v = (c * x + d * y + ty) * painting.width + painting.height / 2;
  const outside = u < 0 || v < 0 || u > painting.width || v > painting.height;
  return outside ? NaN : between(painting, u, v);
}

/** The painting on the places of its reference; where it does not reach there is NaN, or its edge goes on. */
export function laidOn(
  painting: Plane,
  [a, b, tx, c, d, ty]: Affine,
  width: number,
  height: number,
  beyond: 'nothing' | 'edge' = 'nothing',
): Plane {
  const data = new Float32Array(width * height);
  const { width: right, height: bottom } = painting;
  // From one place to the next along a row the painting's place moves on by so much.
  const [stepX, stepY] = [(a * right) / width, (c * right) / width];
  const first = (0.5 - width / 2) / width;
  for (let row = 0, i = 0; row < height; row++) {
    const y = (row + 0.5 - height / 2) / width;
    let u = (a * first + b * y + tx + 0.5) * right;
    let v = (c * first + d * y + ty) * right + bottom / 2;
    for (let column = 0; column < width; column++, i++, u += stepX, v += stepY) {
      const outside = u < 0 || v < 0 || u > right || v > bottom;
      data[i] = outside && beyond === 'nothing' ? NaN : between(painting, u, v);
    }
  }
  return { width, height, data };
}

/**
 * The same with features that stand elsewhere: each is read where it stands, and what it covers there is not read at all.
 * Masks lie on the places of the result.
 */
export function laidWith(
  painting: Plane,
  whole: Affine,
  features: readonly { readonly mask: Uint8Array; readonly map: Affine }[],
  width: number,
  height: number,
): Plane {
  const base = laidOn(painting, whole, width, height);
  for (const { mask, map } of features) {
    // From a place of the reference to the one whose feature covers it.
    const [a, b, tx, c, d, ty] = after(undone(map), whole);
    for (let row = 0, i = 0; row < height; row++)
      for (let column = 0; column < width; column++, i++) {
        const [x, y] = [(column + 0.5 - width / 2) / width, (row + 0.5 - height / 2) / width];
        if (mask[i] === 1) {
          base.data[i] = laidAt(painting, map, x, y);
          continue;
        }
        const [from, line] = [
          Math.floor((a * x + b * y + tx + 0.5) * width),
          Math.floor((c * x + d * y + ty) * width + height / 2),
        ];
        if (from >= 0 && line >= 0 && from < width && line < height && mask[line * width + from] === 1)
          base.data[i] = NaN;
      }
  }
  return base;
}

/** Smaller parts (share of the picture) are joined to a neighbour. */
const LEAST_PART = 0.0015;
/** L* times places by which small parts may differ more. */
const SCALE = 60;
/** A step of what is painted weighs as much as one of what was wanted. */
const PAINTED = 1;
/** So near to a part's edge, in places, brushes and hands of two parts meet. */
const MEETING = 1.5;

/** Both planes lie on the same places, and so do the numbers of named shapes; what the painting does not reach is of no part. */
export function readParts(target: Plane, painted: Plane, numbers?: Uint8Array): ReadParts {
  const { width, height } = target;
  const filled = filledFrom(painted, target);
  const cut = segments({
    planes: [
      { plane: target, weight: 1 },
      { plane: filled, weight: PAINTED },
    ],
    scale: SCALE,
    numbers,
    least: Math.max(4, Math.round(LEAST_PART * width * height)),
  });
  const edge = new Uint8Array(width * height);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const i = y * width + x;
      const other =
        (x + 1 < width && cut.partOf[i + 1] !== cut.partOf[i]) ||
        (y + 1 < height && cut.partOf[i + width] !== cut.partOf[i]) ||
        (x > 0 && cut.partOf[i - 1] !== cut.partOf[i]) ||
        (y > 0 && cut.partOf[i - width] !== cut.partOf[i]);
      if (other) edge[i] = 1;
    }
  const far = squaredDistances(edge, width, height);
  const depth = new Float64Array(cut.count);
  far.forEach((d, i) => {
    const k = cut.partOf[i] as number;
    if (d > (depth[k] as number)) depth[k] = d;
  });
  const sums = Array.from({ length: cut.count }, () => ({ places: 0, weight: 0, target: 0, painted: 0 }));
  for (let i = 0; i < far.length; i++) {
    const own = sums[cut.partOf[i] as number] as (typeof sums)[number];
    own.places++;
    const l = painted.data[i] as number;
    // Thin parts are read along their middle, thick ones where no edge is near.
    const deep = Math.sqrt(depth[cut.partOf[i] as number] as number);
    if (Number.isNaN(l) || Math.sqrt(far[i] as number) < Math.min(MEETING, 0.7 * deep)) continue;
    own.weight++;
    own.target += target.data[i] as number;
    own.painted += l;
  }
  return {
    cut,
    parts: sums.flatMap((s, id) =>
      s.weight === 0
        ? []
        : [
            {
              id,
              target: s.target / s.weight,
              painted: s.painted / s.weight,
              area: s.places / (width * height),
              depth: Math.sqrt(depth[id] as number),
            },
          ],
    ),
  };
}
