/** Which things without a name plainly stand elsewhere than the whole of their painting has them. */
import { median } from '../../fitting/quantile';
import type { Plane } from '../../raster/between';
import { joinedPlaces, maskOf, placesOfNumbers, zoneOf } from '../../raster/zone';
import { segments } from '../values/segments';
import type { Displaced } from './feature';
import { type FoundFeature, foundFeature } from './found-feature';
import { type Ground, movedAlike, standing } from './standing';

/** Parts of a picture that could be a feature, share of it. */
const SIZES = { least: 0.004, most: 0.12 } as const;
/** L* times places, as parts of a picture are cut. */
const SCALE = 150;
/** What differs less than this, L*, from what lies so near about it, widths, is a cloud on a wall, and stands nowhere. */
const STANDS_OUT = { by: 4, about: 0.015 } as const;
/** What has no name is told only when it is off by this, widths: nobody asked about it. */
const UNASKED = 0.014;
/** How much more alike it must be where it was found than where it should be. */
const PLAINLY = 0.15;

function standsOut(places: Int32Array, target: Plane): boolean {
  const { data, width } = target;
  const own = maskOf(places, data.length);
  const inside = median(Float32Array.from(places, (i) => data[i] as number));
  const about = zoneOf(places, STANDS_OUT.about * width, target).filter((i) => own[i] === 0);
  return median(Float32Array.from(about, (i) => Math.abs((data[i] as number) - inside))) >= STANDS_OUT.by;
}

/** Parts of a picture that have no name (`numbers` says which shape each place is of, 0 of none) and could be a feature. */
export function candidatesOf(target: Plane, numbers: Uint8Array): Int32Array[] {
  const n = target.data.length;
  const least = Math.round(SIZES.least * n);
  const cut = segments({ planes: [{ plane: target, weight: 1 }], scale: SCALE, numbers, least });
  return placesOfNumbers(cut.partOf, 0, cut.count)
    .map((places) => places.filter((i) => numbers[i] === 0))
    .filter((places) => places.length >= least && places.length <= SIZES.most * n)
    .filter((places) => standsOut(places, target));
}

interface Elsewhere {
  readonly places: Int32Array;
  readonly stands: Displaced;
}

/** Where a part plainly stands elsewhere; nothing where it does not. */
function elsewhere(places: Int32Array, ground: Ground): Elsewhere[] {
  const stands = standing(places, ground, PLAINLY);
  if (!stands || stands.likeness - stands.unmoved <= PLAINLY) return [];
  return Math.hypot(stands.displacement.dx, stands.displacement.dy) > UNASKED ? [{ places, stands }] : [];
}

function touch(a: Int32Array, b: Int32Array, grid: Plane): boolean {
  const own = maskOf(b, grid.data.length);
  return zoneOf(a, 1, grid).some((i) => own[i] === 1);
}

/** Parts that touch and were moved alike, together: they are one thing. */
function alike(parts: readonly Elsewhere[], grid: Plane): Elsewhere[][] {
  return parts.reduce<Elsewhere[][]>((things, part) => {
    const same = (other: Elsewhere) => movedAlike(other.stands, part.stands) && touch(other.places, part.places, grid);
    const own = things.filter((thing) => thing.some(same));
    return [...things.filter((thing) => !own.includes(thing)), [...own.flat(), part]];
  }, []);
}

/** Those of the candidates that plainly stand elsewhere, as the things that they are parts of. */
export function unnamedFeatures(candidates: readonly Int32Array[], ground: Ground): FoundFeature[] {
  const parts = candidates.flatMap((places) => elsewhere(places, ground));
  return alike(parts, ground.reference).flatMap((thing) => {
    const whole = thing.length > 1 ? elsewhere(joinedPlaces(thing.map(({ places }) => places)), ground) : [];
    return (whole.length > 0 ? whole : thing).flatMap(({ places, stands }) =>
      foundFeature(places, { name: null, entire: true }, stands, ground.reference),
    );
  });
}
