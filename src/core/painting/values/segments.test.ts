import { segments } from './segments';

const WIDE = 60;
const HIGH = 40;
const plane = (of: (x: number, y: number) => number) => ({
  width: WIDE,
  height: HIGH,
  data: Float32Array.from({ length: WIDE * HIGH }, (_, i) => of(i % WIDE, Math.floor(i / WIDE))),
});
const cutOf = (of: (x: number, y: number) => number, other?: (x: number, y: number) => number) =>
  segments({
    planes: [of, ...(other ? [other] : [])].map((f) => ({ plane: plane(f), weight: 1 })),
    scale: 60,
    least: 12,
  });
const disc = (x: number, y: number) => Math.hypot(x - 30, y - 20) < 9;

test('a disc on a ground makes two parts, a slow slope one', () => {
  const two = cutOf((x, y) => (disc(x, y) ? 30 : 70));
  expect(two.count).toBe(2);
  expect(two.partOf[20 * WIDE + 30]).not.toBe(two.partOf[0]);
  expect(cutOf((x) => 20 + x).count).toBe(1);
});

test('what only one of the planes shows makes a part as well', () => {
  expect(
    cutOf(
      () => 50,
      (x, y) => (disc(x, y) ? 38 : 50),
    ).count,
  ).toBe(2);
});

test('specks are joined to what they lie in', () => {
  expect(cutOf((x, y) => (x === 5 && y === 5 ? 90 : 50)).count).toBe(1);
});

test('nothing can’t be cut', () => {
  expect(() => segments({ planes: [], scale: 1, least: 1 })).toThrow(/nothing to cut/);
});
