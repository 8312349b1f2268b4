/** Which things that have a name stand elsewhere than the whole of their painting has them. */
import type { Plane } from '../../raster/between';
import { boxOfPlaces, shareBox } from '../../raster/box-of-places';
import { joinedPlaces } from '../../raster/zone';
import type { FormShape } from '../form/form-plane';
import { displacementOfPart } from './feature';
import { type FoundFeature, foundFeature } from './found-feature';
import { type Ground, movedAlike, standing } from './standing';

/** What reaches over more of the picture (share of it) than this is the ground that things stand before: it stands nowhere else. */
const GROUND = 0.4;

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
    const all = joinedPlaces(members.map((k) => (shapes[k] as FormShape).places));
    if (isGround(all, reference)) return [];
    const together = standing(all, ground);
    const each = members.flatMap((k) => {
      const { places, name } = shapes[k] as FormShape;
      const alone = members.length === 1 ? together : standing(places, ground);
      const own = !together
        ? alone
        : alone && !movedAlike(alone, together) && alone.likeness > together.likeness
          ? alone
          : together;
      if (!own) return [];
      const displacement = displacementOfPart(own.map, whole, places, reference);
      return foundFeature(places, { name, entire: members.length === 1 }, { ...own, displacement }, reference);
    });
    return members.length > 1 && together
      ? [...foundFeature(all, { name: object, entire: true }, together, reference), ...each]
      : each;
  });
}
