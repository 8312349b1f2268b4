/** Masses judged by what is asked of them: steps, light and shadow of one object, overlaps. */
import fc from 'fast-check';
import { allotted, type Mass, massSchema, objectOf } from '../tones/mass';
import { allottedTones, judgeMasses, withAllotted } from './judge-masses';
import { judgePainting } from './judge-painting';

const [width, height] = [100, 60];
const plane = (at: (x: number, y: number) => number) => ({
  width,
  height,
  toneOf: Uint8Array.from({ length: width * height }, (_, i) => at(i % width, Math.floor(i / width))),
});
const mass = (name: string, more: Partial<Mass> = {}): Mass => massSchema.parse({ name, emphasis: 1, ...more });
const STILL = { x: 0, y: 0 };
const steps = (from: number, to: number, of = 3) => ({ from, to, of });
const targets = [90, 60, 30];
/** Left third, middle, right third. */
const thirds = (x: number) => (x < 33 ? 1 : x < 66 ? 2 : 3);

test('an object is all of a name but its last part', () => {
  expect(['can > lit side', 'figure > forehead > shadow', 'Table', 'CAN>shadow'].map((n) => objectOf(mass(n)))).toEqual(
    ['can', 'figure > forehead', 'table', 'can'],
  );
});

test('steps of another number of tones say nothing; steps past the last are cut off', () => {
  expect(allotted(mass('a', { steps: steps(1, 2, 5) }), 3)).toBeNull();
  expect(allotted(mass('a', { steps: { from: 2, to: 9, of: null } }), 3)).toEqual({ from: 2, to: 3 });
  expect(allotted(mass('a', { steps: { from: 5, to: 6, of: null } }), 3)).toBeNull();
});

test('what was drawn within the steps of its mass is right; outside, what the picture has, or the nearest step', () => {
  const masses = { nameOf: plane(() => 1).toneOf, names: [mass('a', { steps: steps(2, 3) })] };
  const wanted = plane(thirds);
  const row = (drawn: number) =>
    [10, 50, 90].map(
      (x) =>
        withAllotted(
          plane(() => drawn),
          wanted,
          STILL,
          masses,
          3,
        ).toneOf[x],
    );
  expect(row(2)).toEqual([2, 2, 2]);
  expect(row(1)).toEqual([2, 2, 3]);
  expect(
    withAllotted(
      plane(() => 2),
      plane((x) => (x < 50 ? 0 : 1)),
      STILL,
      masses,
      3,
    ).toneOf[10],
  ).toBe(0);
});

test('an allotment never makes a place wrong that was drawn within it, and asks only for steps that it has', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 3 }),
      fc.integer({ min: 1, max: 3 }),
      fc.integer({ min: 1, max: 3 }),
      fc.integer({ min: 1, max: 3 }),
      (d, w, a, b) => {
        const own = steps(Math.min(a, b), Math.max(a, b));
        const masses = { nameOf: plane(() => 1).toneOf, names: [mass('a', { steps: own })] };
        const asked = withAllotted(
          plane(() => d),
          plane(() => w),
          STILL,
          masses,
          3,
        ).toneOf[0] as number;
        expect(asked >= own.from && asked <= own.to).toBe(true);
        if (d >= own.from && d <= own.to) expect(asked).toBe(d);
      },
    ),
  );
});

test('without a picture only masses with steps are asked', () => {
  const masses = { nameOf: plane((x) => (x < 50 ? 1 : 0)).toneOf, names: [mass('a', { steps: steps(1, 1) })] };
  const [wanted] = allottedTones(
    plane(() => 3),
    masses,
    3,
  );
  expect([wanted?.toneOf[10], wanted?.toneOf[90]]).toEqual([1, 0]);
});

const pairOf = (litTone: number, darkTone: number, more: Partial<Mass> = {}) =>
  judgeMasses({
    drawn: plane((x) => (x < 50 ? litTone : darkTone)),
    wanted: plane((x) => (x < 50 ? 1 : 3)),
    shift: STILL,
    masses: {
      nameOf: plane((x) => (x < 50 ? 1 : 2)).toneOf,
      names: [mass('jug > lit', { part: 'lit', ...more }), mass('jug > shadow', { part: 'shadow' })],
    },
    lightness: [92, 58, 28],
    targets,
  });

test('light and shadow of one object: how far apart, as painted and in the reference; metal and glass are left alone', () => {
  expect(pairOf(1, 3).pairs).toEqual([
    { object: 'jug', lit: ['jug > lit'], shadow: ['jug > shadow'], separation: 64, wanted: 60 },
  ]);
  expect(pairOf(3, 1).pairs[0]?.separation).toBe(-64);
  expect(pairOf(2, 2).pairs[0]?.separation).toBe(0);
  expect(pairOf(3, 1, { material: 'metal' }).pairs).toEqual([]);
});

test('an outline that strays by less than a hundredth crosses nothing; a dark patch in the light does', () => {
  const judged = (drawn: ReturnType<typeof plane>) =>
    judgeMasses({
      drawn,
      wanted: null,
      shift: STILL,
      masses: {
        nameOf: plane((x) => (x < 50 ? 1 : 2)).toneOf,
        names: [mass('jug > lit', { part: 'lit' }), mass('jug > shadow', { part: 'shadow' })],
      },
      lightness: [92, 58, 28],
      targets,
    }).pairs[0]?.separation;
  expect(judged(plane((x) => (x < 49 ? 1 : 3)))).toBe(64);
  expect(judged(plane((x, y) => (x < 50 && !(x < 12 && y < 30) ? 1 : 3)))).toBe(0);
});

test('an overlap lighter than a shadow of fewer lights on the same object is told; darker, or on another object, it is not', () => {
  const judged = (tones: readonly [number, number], other = 'table') =>
    judgeMasses({
      drawn: plane((x) => (x < 50 ? tones[0] : tones[1])),
      wanted: null,
      shift: STILL,
      masses: {
        nameOf: plane((x) => (x < 50 ? 1 : 2)).toneOf,
        names: [mass('table > both', { blocked: 2 }), mass(`${other} > one`, { blocked: 1 })],
      },
      lightness: [92, 58, 28],
      targets,
    }).overlaps;
  expect(judged([2, 3])).toEqual([{ name: 'table > both', than: 'table > one', by: 30 }]);
  expect(judged([3, 2])).toEqual([]);
  expect(judged([2, 3], 'wall')).toEqual([]);
});

test('facts of a mass: its box, share, lightness, how much lies in its steps and which of them it never uses', () => {
  const { masses } = judgeMasses({
    drawn: plane((x) => (x < 40 ? 1 : 3)),
    wanted: null,
    shift: STILL,
    masses: {
      nameOf: plane((x, y) => (y < 30 ? 1 : 0)).toneOf,
      names: [mass('sky', { steps: steps(1, 2) }), mass('not there')],
    },
    lightness: [90, 60, 30],
    targets,
  });
  expect(masses).toHaveLength(1);
  expect(masses[0]).toMatchObject({
    name: 'sky',
    box: { x: 0, y: 0, width: 1, height: 0.5 },
    share: 0.5,
    lightness: 54,
    inside: 0.4,
    outside: { tone: 3, share: 0.6 },
    unused: [2],
  });
});

test('a painting from life: shares without a reference, regions outside steps by the name of their mass', () => {
  const judged = judgePainting({
    drawn: plane((x) => (x < 50 ? 3 : 1)),
    reference: null,
    readings: [],
    named: {
      nameOf: plane((x) => (x < 50 ? 1 : 2)).toneOf,
      names: [mass('jug > lit', { steps: steps(1, 2) }), mass('ground')],
    },
    tones: targets.map((lightness) => ({ lightness, spread: 1 })),
    targets,
  });
  expect(judged).toMatchObject({
    reference: 'masses',
    agreement: null,
    shift: null,
    regions: [{ drawn: 3, wanted: 2, shape: 'jug > lit' }],
  });
  expect(judged.tones.map((t) => [t.share, t.referenceShare])).toEqual([
    [0.5, null],
    [0, null],
    [0.5, null],
  ]);
});

test('two masses beside each other that stray alike are two regions, each by its own name', () => {
  const judged = judgePainting({
    drawn: plane(() => 3),
    reference: null,
    readings: [],
    named: {
      nameOf: plane((x) => (x < 60 ? 1 : 2)).toneOf,
      names: [mass('loaf', { steps: steps(2, 2) }), mass('cloth', { steps: steps(2, 2) })],
    },
    tones: targets.map((lightness) => ({ lightness, spread: 1 })),
    targets,
  });
  expect(judged.regions.map((r) => [r.shape, r.drawn, r.wanted, r.area])).toEqual([
    ['loaf', 3, 2, 0.6],
    ['cloth', 3, 2, 0.4],
  ]);
});
