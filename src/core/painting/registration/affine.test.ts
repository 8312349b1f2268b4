import fc from 'fast-check';
import { wholeDone } from '../../../devices/drawing-hand';
import { type Affine, placed, registrationOf, undone } from './affine';

const small = (by: number) => fc.double({ min: -by, max: by, noNaN: true });
const wholes = fc.record({
  shift: fc.record({ x: small(0.1), y: small(0.1) }),
  scale: fc.record({ x: small(0.2).map((v) => 1 + v), y: small(0.2).map((v) => 1 + v) }),
  rotation: small(20),
  shear: small(0.1),
});
/** The map of a whole, from where a simulated hand puts three places. */
function mapOf(whole: Parameters<typeof wholeDone>[0]): Affine {
  const done = wholeDone(whole);
  const [[tx, ty], [ax, ay], [bx, by]] = [done(0, 0), done(1, 0), done(0, 1)];
  return [ax - tx, bx - tx, tx, ay - ty, by - ty, ty];
}

test('a map is told as what the hand did: shift, scales, turn and shear', () => {
  fc.assert(
    fc.property(wholes, (whole) => {
      const told = registrationOf(mapOf(whole), 0.8);
      expect(told.shift.x).toBeCloseTo(whole.shift.x, 9);
      expect(told.shift.y).toBeCloseTo(whole.shift.y / 0.8, 9);
      expect(told.scale.x).toBeCloseTo(whole.scale.x, 9);
      expect(told.scale.y).toBeCloseTo(whole.scale.y, 9);
      expect(told.rotation).toBeCloseTo(whole.rotation, 7);
      expect(told.shear).toBeCloseTo(whole.shear, 9);
    }),
  );
});

test('a map undone brings every place back', () => {
  fc.assert(
    fc.property(wholes, small(1), small(1), (whole, x, y) => {
      const map = mapOf(whole);
      const [u, v] = placed(undone(map), ...placed(map, x, y));
      expect(u).toBeCloseTo(x, 9);
      expect(v).toBeCloseTo(y, 9);
    }),
  );
});
