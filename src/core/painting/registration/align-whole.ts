/** How the whole of a painting sits on its reference: looked for roughly first, then finer and finer. */
import { median } from '../../fitting/quantile';
import { between, type Plane, shrunk } from '../../raster/between';
import { type Affine, AS_IT_IS } from './affine';
import { align, type Places, sloped } from './align';
import { correlation } from './correlation';
import { localContrast } from './local-contrast';

/** Places across at which it is looked for. */
const ROUGH = 48;
const ROUGH_BLUR = 0.7;
/**
 * Places across at which it is then laid on more exactly: all of them count, and finer than that brushes stray, so that what is
 * told gets no better. How often what is trusted is told anew there, and how many steps are taken each time.
 */
const FINER = [96, 144] as const;
const ROUNDS = 2;
const STEPS = 3;

/** What people do is near to nothing: shifts in widths, stretches, turns in radians, as starts to try. */
const SHIFTS = Array.from({ length: 7 }, (_, k) => (k - 3) / 24);
const BESIDE = [-1 / 48, 0, 1 / 48];
const STRETCHES = [0.92, 1, 1.08] as const;
const TURNS = [-0.08, 0, 0.08] as const;
/** How far from where it starts each parameter may go for the price of one misfit. */
const REACH: Affine = [0.15, 0.15, 0.15, 0.15, 0.15, 0.15];

const sized = (plane: Plane, across: number): Plane =>
  across >= plane.width ? plane : shrunk(plane, across, Math.max(2, Math.round((across * plane.height) / plane.width)));

/** A plane at each of the sizes at which it is laid on, each made from the next larger. */
function sizesOf(plane: Plane): [Plane, ...Plane[]] {
  let next = plane;
  return FINER.toReversed()
    .map((across) => (next = sized(next, across)))
    .reverse() as [Plane, ...Plane[]];
}

/** A plane's places, in widths about its middle. */
function placesOf({ width, height, data }: Plane): Places {
  const [x, y] = [new Float64Array(data.length), new Float64Array(data.length)];
  for (let r = 0, i = 0; r < height; r++)
    for (let c = 0; c < width; c++, i++) {
      x[i] = (c + 0.5 - width / 2) / width;
      y[i] = (r + 0.5 - height / 2) / width;
    }
  return { x, y, value: Float64Array.from(data) };
}

/** Places are trusted square by square, so many across. */
const SQUARES = 14;

/**
 * What each place counts, from how well all of its square is laid on the painting: a thing that was moved, or painted as
 * something else, is off in all of its square, and says nothing of the whole.
 */
function trusted({ x, y, value }: Places, painting: Plane, map: Affine): Float64Array {
  const [a, b, tx, c, d, ty] = map;
  const squares = new Int32Array(value.length);
  const [off, all] = [new Float64Array(4 * SQUARES * SQUARES), new Float64Array(4 * SQUARES * SQUARES)];
  for (let k = 0; k < value.length; k++) {
    const [px, py] = [x[k] as number, y[k] as number];
    const square = Math.floor((py + 1) * SQUARES) * 2 * SQUARES + Math.floor((px + 0.5) * SQUARES);
    const u = (a * px + b * py + tx + 0.5) * painting.width;
    const v = (c * px + d * py + ty) * painting.width + painting.height / 2;
    const [p, r] = [between(painting, u, v), value[k] as number];
    squares[k] = square;
    off[square] = (off[square] as number) + (p - r) ** 2;
    all[square] = (all[square] as number) + p * p + r * r;
  }
  const share = off.map((o, s) => o / Math.max(1e-9, all[s] as number));
  const usual = Math.max(LEAST_OFF, median(share.filter((_, s) => (all[s] as number) > 0)));
  return Float64Array.from(squares, (s) => 1 / (1 + ((share[s] as number) / usual) ** 2));
}

/** Squares that are off by no more than this share of their contrast are as good as any. */
const LEAST_OFF = 0.03;

/** How alike local contrasts are under a map. */
export const likeness = (reference: Plane, painting: Plane, map: Affine): number =>
  correlation([[reference, painting]], map);

export interface AlignedWhole {
  readonly map: Affine;
  /** Correlation of local contrasts, roughly seen: 1 where the painting shows what the reference does. */
  readonly likeness: number;
}

/** What is compared roughly of a plane of L*. */
export const roughContrast = (plane: Plane): Plane => localContrast(sized(plane, ROUGH), ROUGH_BLUR);

/** The best of some maps. */
function bestOf(reference: Plane, painting: Plane, maps: readonly Affine[]): AlignedWhole {
  let best: AlignedWhole = { map: AS_IT_IS, likeness: -1 };
  for (const map of maps) {
    const own = likeness(reference, painting, map);
    if (own > best.likeness) best = { map, likeness: own };
  }
  return best;
}

const shifted = ([a, b, tx, c, d, ty]: Affine, by: readonly number[]): Affine[] =>
  by.flatMap((y) => by.map((x): Affine => [a, b, tx + x, c, d, ty + y]));

/**
 * The map under which two rough contrasts are most alike, of those that people's hands make: each turn and stretch is first
 * looked for at half their size, and the best of each then at all of it.
 */
export function roughMap(reference: Plane, painting: Plane): AlignedWhole {
  const [halfReference, halfPainting] = [reference, painting].map((p) => sized(p, ROUGH / 2)) as [Plane, Plane];
  const near = TURNS.flatMap((turn) =>
    STRETCHES.flatMap((stretch) => {
      const [c, s] = [stretch * Math.cos(turn), stretch * Math.sin(turn)];
      return shifted(bestOf(halfReference, halfPainting, shifted([c, -s, 0, s, c, 0], SHIFTS)).map, BESIDE);
    }),
  );
  return bestOf(reference, painting, near);
}

/** A reference as paintings are laid on it: roughly, and by its places at each finer size. */
export interface SizedReference {
  /** L* at the smallest size. */
  readonly small: Plane;
  readonly rough: Plane;
  readonly places: readonly Places[];
}

/** Of a plane of L* as paint is to have it. */
export function sizedReference(reference: Plane): SizedReference {
  const sizes = sizesOf(reference);
  return {
    small: sizes[0],
    rough: roughContrast(sizes[0]),
    places: sizes.map((plane) => placesOf(localContrast(plane, 1))),
  };
}

/** Lays a painting on its reference. The painting's plane is L* of the reference's proportion, of any scale. */
export function alignWhole(reference: SizedReference, painting: Plane): AlignedWhole {
  const paintings = sizesOf(painting);
  const roughPainting = roughContrast(paintings[0]);
  let { map } = roughMap(reference.rough, roughPainting);
  for (const [k, plane] of paintings.entries()) {
    const places = reference.places[k] as Places;
    const finePainting = sloped(localContrast(plane, 1));
    for (let round = 0; round < ROUNDS; round++) {
      const weight = trusted(places, finePainting, map);
      map = align({
        places: { ...places, weight },
        painting: finePainting,
        start: map,
        reach: REACH,
        iterations: STEPS,
      });
    }
  }
  return { map, likeness: likeness(reference.rough, roughPainting, map) };
}
