/** Which features of a painting stand elsewhere than the whole has them: those that have a name, or what the picture's own parts suggest. */
import type { Plane } from '../../raster/between';
import type { FormShape } from '../form/form-plane';
import { boxOfPlaces, shareBox } from '../../raster/box-of-places';
import { squaredDistances } from '../../raster/distance';
import type { SlopedPlane } from '../registration/align';
import { type Affine, after, undone } from '../registration/affine';
import { composedFit } from './composed-fit';
import type { Composition } from './composition';
import { type Displaced, displacementOf, displacementOfPart } from './feature';
import { maskOf, placesOfNumbers } from '../../raster/zone';
import type { PaintingResult } from '../result';
import { fittedOutline, outlinePlaces } from './outline';
import { segments } from '../values/segments';

export interface FoundFeature extends Displaced {
  /** Of the reference, on the grid that drawing is compared on. */
  readonly places: Int32Array;
  /** Whether it is all of an object, and not one of its parts. */
  readonly entire: boolean;
  readonly told: Omit<PaintingResult['displacements'][number], 'id'>;
}

/** What has no name is told only when it is off by this, widths: nobody asked about it. */
const UNASKED = 0.014;
/** A part of an object is told to stand elsewhere than its object from here on, widths. */
const APART = 0.015;
/** Parts of a picture that could be a feature, share of it. */
const SIZES = { least: 0.004, most: 0.12 } as const;
/** L* times places, as parts of a picture are cut. */
const SCALE = 150;

/** What reaches over more of the picture (share of it) than this is the ground that things stand before: it stands nowhere else. */
const GROUND = 0.4;

const joined = (parts: readonly Int32Array[]): Int32Array =>
  Int32Array.from(parts.flatMap((places) => [...places])).sort();

const far = (a: Displaced, b: Displaced) =>
  Math.hypot(a.displacement.dx - b.displacement.dx, a.displacement.dy - b.displacement.dy);

interface Ground {
  /** Local contrasts of one proportion. */
  readonly reference: Plane;
  readonly painting: SlopedPlane;
  /** L* of both, as fine as outlines need and as soft as each other. */
  readonly values: { readonly reference: Plane; readonly painting: Plane };
  readonly whole: Affine;
  /** The two side by side as the whole lies, worked out when it is asked for: most things stand where they should. */
  readonly composition: () => Composition;
}

/** What is as good as this where it should be is looked for nowhere else. */
const STANDS = 0.9;
/**
 * Of the places where it could stand: what likeness counts beside the share of its outline, each width that it lies off, and
 * that it is wider, taller or slanted there by what people seldom do.
 */
const COUNTS = { likeness: 0.4, far: 1, bent: 0.025 } as const;
const SELDOM = { size: 0.1, slant: 5 } as const;
/** Its own place, or a likelier one, is left for another one that is better by this. */
const BETTER = 0.02;

/** What stands further from its place than this, widths, stands elsewhere, and is read there. */
const ELSEWHERE = 0.006;

export const standsElsewhere = ({ dx, dy }: Pick<Displaced['displacement'], 'dx' | 'dy'>): boolean =>
  Math.hypot(dx, dy) > ELSEWHERE;

/** How seldom people widen or slant a thing so far: 1 at what is seldom. */
const bentBy = ({ width, height, slant }: Displaced['displacement']): number =>
  ((width - 1) / SELDOM.size) ** 2 + ((height - 1) / SELDOM.size) ** 2 + (slant / SELDOM.slant) ** 2;

/** Where a feature stands: found by all of its places, then by its outline; and, where that is elsewhere or seldom so bent, by its values. */
function standing(places: Int32Array, ground: Ground, least = 0): Displaced | null {
  const { reference, painting, values, whole } = ground;
  const found = displacementOf(reference, painting, whole, places, least);
  if (!found) return null;
  const outline = outlinePlaces(places, reference);
  // Painted light for dark it is like itself nowhere, and its outline still lies where it should.
  const starts = found.unmoved > STANDS ? found.candidates.slice(0, 1) : [whole, ...found.candidates];
  const fits = starts.map((start) => {
    const { map, held } = fittedOutline(outline, values.reference, values.painting, whole, start);
    const displacement = displacementOfPart(map, whole, places, reference);
    const off = COUNTS.far * Math.hypot(displacement.dx, displacement.dy) + COUNTS.bent * bentBy(displacement);
    return { map, displacement, score: held + COUNTS.likeness * Math.max(0, found.likenessUnder(map)) - off };
  });
  const { map, displacement } = fits.reduce((best, own) => (own.score > best.score + BETTER ? own : best));
  if (!standsElsewhere(displacement) && bentBy(displacement) < 1) return { ...found, map, displacement };
  const beside = fits.map((fit) => after(undone(whole), fit.map));
  const exact = after(whole, composedFit(ground.composition(), places, beside));
  return { ...found, map: exact, displacement: displacementOfPart(exact, whole, places, reference) };
}

function found(
  places: Int32Array,
  { name, entire }: { readonly name: string | null; readonly entire: boolean },
  displaced: Displaced,
  { reference }: Ground,
): FoundFeature[] {
  const around = boxOfPlaces(places, reference.width);
  return around
    ? [{ ...displaced, places, entire, told: { box: shareBox(around, reference), name, ...displaced.displacement } }]
    : [];
}

function isGround(places: Int32Array, grid: Plane): boolean {
  const around = boxOfPlaces(places, grid.width);
  const box = around && shareBox(around, grid);
  return box !== null && box.width * box.height > GROUND;
}

/** Of named shapes: each object as a whole, and each shape, which stands where its object does unless it plainly does not. */
export function namedFeatures(shapes: readonly FormShape[], ground: Ground): FoundFeature[] {
  const { reference, whole } = ground;
  const objects = new Map<string, number[]>();
  shapes.forEach(({ object }, k) => {
    objects.set(object, [...(objects.get(object) ?? []), k]);
  });
  return [...objects].flatMap(([object, members]) => {
    const all = joined(members.map((k) => (shapes[k] as FormShape).places));
    if (isGround(all, reference)) return [];
    const together = standing(all, ground);
    const each = members.flatMap((k) => {
      const { places, name } = shapes[k] as FormShape;
      const alone = members.length === 1 ? together : standing(places, ground);
      const own = !together
        ? alone
        : alone && far(alone, together) > APART && alone.likeness > together.likeness
          ? alone
          : together;
      if (!own) return [];
      const displacement = displacementOfPart(own.map, whole, places, reference);
      return found(places, { name, entire: members.length === 1 }, { ...own, displacement }, ground);
    });
    return members.length > 1 && together
      ? [...found(all, { name: object, entire: true }, together, ground), ...each]
      : each;
  });
}

/** Parts of a picture that could be a feature where nothing has a name. */
export function candidatesOf(target: Plane): Int32Array[] {
  const n = target.data.length;
  const cut = segments({ planes: [{ plane: target, weight: 1 }], scale: SCALE, least: Math.round(SIZES.least * n) });
  return placesOfNumbers(cut.partOf, 0, cut.count).filter((places) => places.length <= SIZES.most * n);
}

/** Where nothing has a name: those of them that plainly stand elsewhere. */
export function unnamedFeatures(candidates: readonly Int32Array[], ground: Ground): FoundFeature[] {
  return candidates.flatMap((places) => {
    const own = standing(places, ground, PLAINLY);
    return own && Math.hypot(own.displacement.dx, own.displacement.dy) > UNASKED && own.likeness - own.unmoved > PLAINLY
      ? found(places, { name: null, entire: true }, own, ground)
      : [];
  });
}

/** How much more alike something without a name must be where it was found than where it should be. */
const PLAINLY = 0.15;

/** So near to the outline of what stands elsewhere, widths, its old place and its new one can't be told apart exactly. */
const RIM = 0.022;

/** 1 along the outlines of features where they should stand and where they do, on the places of the reference. */
export function rimsOf(
  features: readonly FoundFeature[],
  whole: Affine,
  grid: { width: number; height: number },
): Uint8Array {
  const { width, height } = grid;
  const rims = new Uint8Array(width * height);
  for (const { places, map } of features) {
    const mask = maskOf(places, rims.length);
    const [a, b, tx, c, d, ty] = after(undone(map), whole);
    const stands = Uint8Array.from(mask, (_, i) => {
      const [x, y] = [((i % width) + 0.5) / width - 0.5, (Math.floor(i / width) + 0.5 - height / 2) / width];
      const from = Math.floor((a * x + b * y + tx + 0.5) * width);
      const line = Math.floor((c * x + d * y + ty) * width + height / 2);
      return from >= 0 && line >= 0 && from < width && line < height ? (mask[line * width + from] as number) : 0;
    });
    for (const own of [mask, stands]) {
      const [inside, outside] = [own.map((m) => 1 - m), own].map((m) => squaredDistances(m, width, height));
      const reach = (RIM * width) ** 2;
      for (let i = 0; i < rims.length; i++)
        if ((own[i] === 1 ? (inside?.[i] ?? 0) : (outside?.[i] ?? 0)) <= reach) rims[i] = 1;
    }
  }
  return rims;
}
