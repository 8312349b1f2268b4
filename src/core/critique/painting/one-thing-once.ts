/** One mistake is told once: a wrong value makes edges and places look wrong, and an edge that moved makes values look wrong. */
import type { ShareBox } from '../../geometry/share-box';
import { objectOf } from '../../tones/mass';
import type { ExtentOff, Moved, OffPart, PaintingReading } from './facts';

/** What is off in less than this share of a shape is a part of it. */
export const ALL_OF_IT = 0.5;

const objectOfName = (name: string | null): string | null => (name === null ? null : objectOf({ name }));

/** How much of its named shape a part is, 0 to 1; all of what has no name. */
export function shareOfShape({ shape, area }: OffPart, { shapes }: PaintingReading['result']): number {
  const whole = shapes.find((s) => s.name === shape)?.area ?? area;
  return area / Math.max(area, whole);
}

/** Objects of which a shape is off in value as a whole. */
function objectsOff({ result }: PaintingReading): ReadonlySet<string | null> {
  const { regions } = result;
  const wholly = regions.filter((r) => r.shape !== null && shareOfShape(r, result) >= ALL_OF_IT);
  return new Set(wholly.map((r) => objectOfName(r.shape)));
}

/** How far shapes reach, and how lively they are, where their values are right: else that is seen once they are. */
export function extentsTold(reading: PaintingReading): ExtentOff[] {
  const { extents, regions } = reading.result;
  const off = objectsOff(reading);
  return extents.filter(({ kind, name }) =>
    kind === 'detail'
      ? !regions.some((r) => r.shape !== null && r.shape === name)
      : name === null || !off.has(objectOfName(name)),
  );
}

/** Whether a part of an object lies where its light and shadow are told to meet elsewhere. */
export function isOfTheirEdge(name: string | null, told: readonly ExtentOff[]): boolean {
  const object = objectOfName(name);
  return object !== null && told.some((e) => e.kind !== 'detail' && objectOfName(e.name) === object);
}

/** Parts that are off in value, but for those that an edge which moved has left behind. */
export function partsTold(reading: PaintingReading): OffPart[] {
  const { result } = reading;
  const told = extentsTold(reading);
  return result.regions.filter((r) => shareOfShape(r, result) >= ALL_OF_IT || !isOfTheirEdge(r.shape, told));
}

/** So near to each other, widths, two features moved alike; and so much of the smaller one's box lies in the other's. */
const [ALIKE, INSIDE] = [0.02, 0.5] as const;

function inside(a: ShareBox, b: ShareBox): number {
  const wide = Math.min(a.x + a.width, b.x + b.width) - Math.max(a.x, b.x);
  const tall = Math.min(a.y + a.height, b.y + b.height) - Math.max(a.y, b.y);
  return (Math.max(0, wide) * Math.max(0, tall)) / Math.max(1e-9, Math.min(a.width * a.height, b.width * b.height));
}

/** Whether a feature without a name is one with a name once more. */
export const isNamedToo = (moved: Moved, all: readonly Moved[]): boolean =>
  moved.name === null &&
  all.some(
    (o) => o.name !== null && Math.hypot(o.dx - moved.dx, o.dy - moved.dy) < ALIKE && inside(o.box, moved.box) > INSIDE,
  );

/** Whether a part of an object that stands where it should only seems to be elsewhere, since its value is wrong. */
export function onlyLooksMoved(moved: Moved, reading: PaintingReading): boolean {
  const object = objectOfName(moved.name);
  if (object === null || object === moved.name?.toLowerCase()) return false;
  const { displacements, regions } = reading.result;
  return displacements.some((d) => d.name === object) && regions.some((r) => r.shape === moved.name);
}
