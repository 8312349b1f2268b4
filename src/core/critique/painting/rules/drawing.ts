/** Rules about drawing: how the whole sits in its frame, then what stands elsewhere in it. */
import { objectOf } from '../../../tones/mass';
import { extentsTold, isNamedToo, isOfTheirEdge, onlyLooksMoved } from './one-thing-once';
import { SHIFTED } from '../../naming';
import { ofShape, PICTURE, type Rule } from '../../rule';
import type { Moved, PaintingFacts, PaintingReading, Sits, Way } from '../facts';

/** A whole that is further off than this is told: degrees, ratios. */
const TURNED = 1;
const SIZED = 0.03;
/** Features told of at the most. */
const MOST_FEATURES = 5;
/** A feature is told from here on: widths, ratios, degrees. */
const OFF: Record<Way, number> = { place: 0.015, width: 0.1, height: 0.1, slant: 5 };
/** A shift of a quarter of the picture is as bad as a whole step everywhere. */
const SHIFT_WEIGHT = 4;
/** So many degrees weigh as much as a shift of a whole width. */
const DEGREES = 57;

const round3 = (v: number) => Math.round(v * 1000) / 1000;

type PaintingRule<C extends keyof PaintingFacts> = Rule<C, PaintingReading, PaintingFacts[C]>;

/** How far it is off in each way, against what is told from: 1 and more is told. */
function offBy({ dx, dy, width, height, slant }: Moved): Record<Way, number> {
  return {
    place: Math.hypot(dx, dy) / OFF.place,
    width: Math.abs(width - 1) / OFF.width,
    height: Math.abs(height - 1) / OFF.height,
    slant: Math.abs(slant) / OFF.slant,
  };
}

function waysOf(moved: Moved, slack: number): Way[] {
  const off = offBy(moved);
  return (Object.keys(off) as Way[]).filter((way) => off[way] > slack).sort((a, b) => off[b] - off[a]);
}

const shiftOf = ({ shift }: Sits) => Math.hypot(shift.x, shift.y);
const sizeOf = ({ scale }: Sits) => Math.max(Math.abs(scale.x - 1), Math.abs(scale.y - 1));
const sitsOf = ({ result: { registration } }: PaintingReading) =>
  registration ? [{ subject: PICTURE, facts: registration }] : [];

const evidence = ({ shift, scale, rotation }: Sits) => ({
  x: round3(shift.x),
  y: round3(shift.y),
  width: round3(scale.x),
  height: round3(scale.y),
  degrees: round3(rotation),
});

const drawingHolds: PaintingRule<'drawing_holds'> = {
  code: 'drawing_holds',
  kind: 'works',
  reads: ({ result: { registration, displacements }, slack }) =>
    registration &&
    shiftOf(registration) <= SHIFTED &&
    sizeOf(registration) <= SIZED &&
    Math.abs(registration.rotation) <= TURNED &&
    displacements.every((d) => waysOf(d, slack).length === 0)
      ? [{ subject: PICTURE, facts: { shift: shiftOf(registration) } }]
      : [],
  tells: () => true,
  weight: () => 0,
  evidence: ({ shift }) => ({ shift: round3(shift) }),
  source: 'nothing of it is off by as much as would be told',
};

/** A gap that has less than this of itself left, or more than so many times itself, and has changed by so much (widths). */
const GAP = { closed: 0.4, open: 1.8, changed: 0.012 } as const;
const MOST_GAPS = 3;

const gapOff: PaintingRule<'gap_off'> = {
  code: 'gap_off',
  kind: 'fix',
  reads: ({ result: { gaps }, slack }) =>
    gaps
      .filter(({ wanted, painted }) => Math.abs(painted - wanted) > slack * GAP.changed)
      .map((gap) => ({ subject: ofShape(`gap ${gap.between.join(' and ')}`, undefined, gap.box), facts: { gap } })),
  tells: ({ gap: { wanted, painted } }) => painted < GAP.closed * wanted || painted > GAP.open * wanted,
  most: MOST_GAPS,
  weight: ({ gap: { wanted, painted } }) => SHIFT_WEIGHT * Math.abs(painted - wanted),
  evidence: ({ gap: { wanted, painted } }) => ({ wanted: round3(wanted), painted: round3(painted) }),
  source: 'the eye sees the shape between two things sooner than where each of them stands',
};

const pictureMoved: PaintingRule<'picture_moved'> = {
  code: 'picture_moved',
  kind: 'fix',
  reads: sitsOf,
  tells: (sits) => shiftOf(sits) > SHIFTED,
  weight: (sits) => SHIFT_WEIGHT * shiftOf(sits),
  evidence,
  source: 'about the width of a pencil line and a hand on paper of a hand sheet',
};

const pictureTurned: PaintingRule<'picture_turned'> = {
  code: 'picture_turned',
  kind: 'fix',
  reads: sitsOf,
  tells: ({ rotation }) => Math.abs(rotation) > TURNED,
  weight: ({ rotation }) => (SHIFT_WEIGHT * Math.abs(rotation)) / DEGREES,
  evidence,
  source: 'at the edge of the picture a degree moves as much as what is told of places',
};

const pictureSized: PaintingRule<'picture_sized'> = {
  code: 'picture_sized',
  kind: 'fix',
  reads: sitsOf,
  tells: (sits) => sizeOf(sits) > SIZED,
  weight: (sits) => (SHIFT_WEIGHT * sizeOf(sits)) / 2,
  evidence,
  source: 'at the edge of the picture it moves as much as what is told of places',
};

/** Features nearer than this (widths) moved together. */
const TOGETHER = 0.005;

const middleOf = ({ box: { x, y, width, height } }: Moved) => ({ x: x + width / 2, y: y + height / 2 });

/** Where a part goes if it goes with its object: as that did, and with it where it grew, shrank or leant about its middle. */
export function drawnWith(object: Moved, part: Moved): { readonly dx: number; readonly dy: number } {
  const [own, of] = [middleOf(part), middleOf(object)];
  const [right, down] = [own.x - of.x, own.y - of.y];
  const lean = Math.tan((object.slant * Math.PI) / 180) * object.height;
  return {
    dx: object.dx + (object.width - 1) * right - lean * down,
    dy: object.dy + (object.height - 1) * down,
  };
}

/** The object that this is a part of; null where it is none. */
function objectOfPart({ name }: Moved): string | null {
  const object = name === null ? null : objectOf({ name });
  return object === name ? null : object;
}

/** Whether one feature is a part of the other. */
export function isPartOf(part: Moved, object: Moved): boolean {
  const name = objectOfPart(part);
  return name !== null && name === object.name;
}

/** Whether a part of an object only goes where all of it went: that is told of the object. */
function goesAlong(moved: Moved, all: readonly Moved[]): boolean {
  const object = all.find((o) => isPartOf(moved, o));
  if (!object) return false;
  const along = drawnWith(object, moved);
  return Math.hypot(along.dx - moved.dx, along.dy - moved.dy) < TOGETHER;
}

/** Features that are told by themselves: not with their object, nor for an edge or a value that is wrong. */
function featuresTold(reading: PaintingReading): Moved[] {
  const { displacements } = reading.result;
  const extents = extentsTold(reading);
  return displacements.filter(
    (moved) =>
      !goesAlong(moved, displacements) &&
      !(objectOfPart(moved) !== null && isOfTheirEdge(moved.name, extents)) &&
      !isNamedToo(moved, displacements) &&
      !onlyLooksMoved(moved, reading),
  );
}

const featureMoved: PaintingRule<'feature_moved'> = {
  code: 'feature_moved',
  kind: 'fix',
  reads: (reading) =>
    featuresTold(reading).map((moved) => ({
      subject: ofShape(moved.id, moved.name ?? undefined, moved.box),
      facts: { moved, ways: waysOf(moved, reading.slack) },
    })),
  tells: ({ ways }) => ways.length > 0,
  most: MOST_FEATURES,
  weight: ({ moved: { dx, dy, width, height, slant } }) =>
    SHIFT_WEIGHT * Math.hypot(dx, dy) +
    Math.max(Math.abs(width - 1), Math.abs(height - 1)) / 2 +
    Math.abs(slant) / DEGREES,
  evidence: ({ moved: { dx, dy, width, height, slant } }) => ({
    dx: round3(dx),
    dy: round3(dy),
    width: round3(width),
    height: round3(height),
    slant: round3(slant),
  }),
  source: 'three times what a place of a feature is read to; ratios and degrees twice what they are',
};

export const DRAWING_RULES = {
  drawing_holds: drawingHolds,
  picture_moved: pictureMoved,
  picture_turned: pictureTurned,
  picture_sized: pictureSized,
  feature_moved: featureMoved,
  // After what moved: where one move mends both, it is the thing that is spoken of.
  gap_off: gapOff,
} as const;
