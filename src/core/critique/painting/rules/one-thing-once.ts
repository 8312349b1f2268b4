/** One mistake is told once: a wrong value makes edges and places look wrong, and an edge that moved makes values look wrong. */
import { boxArea, grownBox, type ShareBox, shareInside } from '../../../geometry/share-box';
import { objectOf } from '../../../tones/mass';
import type { ExtentOff, LineOff, Moved, OffPart, PaintingReading } from '../facts';

/** What is off in less than this share of a shape is a part of it. */
export const ALL_OF_IT = 0.5;

const objectOfName = (name: string | null): string | null => (name === null ? null : objectOf({ name }));

/** How much of its named shape is off as a part of it is, 0 to 1; all of what has no name. */
export function shareOfShape({ shape, residual }: OffPart, { shapes, regions }: PaintingReading['result']): number {
  const whole = shapes.find((s) => s.name === shape);
  if (!whole) return 1;
  const alike = regions.filter((r) => r.shape === shape && Math.sign(r.residual) === Math.sign(residual));
  return Math.min(1, alike.reduce((s, r) => s + r.area, 0) / whole.area);
}

/** Named shapes that are off in value as a whole. */
const shapesOff = ({ result }: PaintingReading): ReadonlySet<string | null> =>
  new Set(result.regions.filter((r) => r.shape !== null && shareOfShape(r, result) >= ALL_OF_IT).map((r) => r.shape));

/** How far shapes reach, and how lively they are, where their values are right: else that is seen once they are. */
export function extentsTold(reading: PaintingReading): ExtentOff[] {
  const off = shapesOff(reading);
  const objects = new Set([...off].map(objectOfName));
  return reading.result.extents.filter(
    ({ kind, name }) => name === null || !(kind === 'detail' ? off.has(name) : objects.has(objectOfName(name))),
  );
}

/** Whether a part of an object lies where its light and shadow are told to meet elsewhere. */
export function isOfTheirEdge(name: string | null, told: readonly ExtentOff[]): boolean {
  const object = objectOfName(name);
  return object !== null && told.some((e) => e.kind !== 'detail' && objectOfName(e.name) === object);
}

/** Parts that are off in value, but for those that an edge which moved has left behind, and for the spots of what is too lively. */
export function partsTold(reading: PaintingReading): OffPart[] {
  const { result } = reading;
  const told = extentsTold(reading);
  const isSpot = ({ shape }: OffPart) => told.some((e) => e.kind === 'detail' && e.name !== null && e.name === shape);
  return result.regions.filter(
    (r) => shareOfShape(r, result) >= ALL_OF_IT || !(isOfTheirEdge(r.shape, told) || isSpot(r)),
  );
}

/** So near to each other, widths, two features moved alike; and so much of the smaller one's box lies in the other's. */
const [ALIKE, INSIDE] = [0.02, 0.5] as const;

/** Whether a feature without a name is one with a name once more. */
export const isNamedToo = (moved: Moved, all: readonly Moved[]): boolean =>
  moved.name === null &&
  all.some(
    (o) =>
      o.name !== null && Math.hypot(o.dx - moved.dx, o.dy - moved.dy) < ALIKE && shareInside(o.box, moved.box) > INSIDE,
  );

/** Whether a shape only seems to be elsewhere, since its value is wrong: where it stands is seen once that is right. */
export const onlyLooksMoved = ({ name }: Moved, reading: PaintingReading): boolean =>
  name !== null && shapesOff(reading).has(name);

/** What moved further than this, widths, has outlines at two places; and lines lie so near to what they belong to. */
const [ASTRAY, NEAR] = [0.0125, 0.02] as const;
/** What takes more of the picture than this is ground: lines lie on it whatever it is like. */
const GROUND = 0.25;

/** Where a feature should be and where it is; down it went by shares of a height that is seldom far from the width. */
const bothPlaces = ({ box, dx, dy }: Moved): ShareBox[] =>
  [box, { ...box, x: box.x + dx, y: box.y + dy }].map((b) => grownBox(b, NEAR));
const isOnThing = (line: LineOff, thing: ShareBox) => boxArea(thing) < GROUND && shareInside(line.box, thing) > INSIDE;

/** Thin lines that are off by themselves, and not as the outline of what stands elsewhere, is off in value or too lively. */
export function linesTold(reading: PaintingReading): LineOff[] {
  const { accents, displacements, shapes } = reading.result;
  const off = shapesOff(reading);
  const lively = new Set(extentsTold(reading).flatMap((e) => (e.kind === 'detail' ? [e.name] : [])));
  const things = [
    ...displacements.filter((d) => Math.hypot(d.dx, d.dy) > ASTRAY).flatMap(bothPlaces),
    ...shapes.filter((s) => off.has(s.name) || lively.has(s.name)).map((s) => grownBox(s.box, NEAR)),
  ];
  return accents.filter((line) => !things.some((thing) => isOnThing(line, thing)));
}

type Result = PaintingReading['result'];

/** What was measured of shapes that have become right: what looked wrong only for what they were is measured anew, and right. */
export function withoutLooks(result: Result, righted: ReadonlySet<string>): Result {
  const objects = new Set([...righted].map(objectOfName));
  const boxes = result.shapes.filter((s) => righted.has(s.name)).map((s) => grownBox(s.box, NEAR));
  return {
    ...result,
    accents: result.accents.filter((line) => !boxes.some((box) => isOnThing(line, box))),
    extents: result.extents.filter(({ name }) => name === null || !objects.has(objectOfName(name))),
    displacements: result.displacements.filter(({ name }) => name === null || !righted.has(name)),
  };
}

/** The same of a feature that stands where it should. */
export const withoutOutlines = (result: Result, feature: Moved): Result => ({
  ...result,
  accents: result.accents.filter((line) => !bothPlaces(feature).some((thing) => isOnThing(line, thing))),
});
