/** Masses of a set-up, and where they were painted on a picture of it. */
import { massSchema } from '../tones/mass';
import { emptySetUp, type MassEdit, massPlane, setUpSchema } from './set-up';

const [width, height] = [60, 40];
const mass = (id: string, name = id) => ({ id, ...massSchema.parse({ name, emphasis: 1 }) });
const masses = [mass('jug'), mass('ground')];
/** A dark box in the middle. */
const toneOf = Uint8Array.from({ length: width * height }, (_, i) =>
  i % width >= 20 && i % width < 40 && i >= 10 * width && i < 30 * width ? 3 : 1,
);
const at = (edits: readonly MassEdit[], x: number, y: number, of = masses) =>
  massPlane(toneOf, width, height, edits, of).nameOf[y * width + x];

test('a press takes all of a shape, and only it', () => {
  const press: MassEdit = { kind: 'shape', x: 0.5, y: 0.5, mass: 'jug' };
  expect([at([press], 21, 11), at([press], 39, 29), at([press], 19, 20), at([press], 0, 0)]).toEqual([1, 1, 0, 0]);
});

test('what was done later counts; nothing takes a place away again', () => {
  const stroke: MassEdit = { kind: 'stroke', width: 0.1, points: [0.1, 0.5, 0.9, 0.5], mass: 'ground' };
  expect(at([{ kind: 'shape', x: 0.5, y: 0.5, mass: 'jug' }, stroke], 30, 20)).toBe(2);
  expect(at([stroke, { kind: 'shape', x: 0.5, y: 0.5, mass: 'jug' }], 30, 20)).toBe(1);
  expect(at([stroke, { ...stroke, mass: null }], 30, 20)).toBe(0);
});

test('a place of a mass that the set-up no longer has is of none', () => {
  expect(at([{ kind: 'shape', x: 0.5, y: 0.5, mass: 'jug' }], 30, 20, [masses[1]!])).toBe(0);
});

test('two masses of one name, and too many masses, are refused with words', () => {
  expect(() => setUpSchema.parse({ ...emptySetUp(), masses: [mass('a', 'Jug'), mass('b', 'jug')] })).toThrow(
    'give each its own',
  );
  expect(() =>
    setUpSchema.parse({ ...emptySetUp(), masses: Array.from({ length: 41 }, (_, k) => mass(`m${k}`)) }),
  ).toThrow('join some');
});
