/** How far an edge moved, on planes whose edge is known. */
import { movedEdge } from './edges';

const [WIDTH, HEIGHT, AT] = [300, 220, 150];

/** Light to the left, shadow to the right of an edge that is so soft and stands at `x`. */
const plane = (x: number, soft: number, light = 80, shadow = 40) => ({
  width: WIDTH,
  height: HEIGHT,
  data: Float32Array.from(
    { length: WIDTH * HEIGHT },
    (_, i) => shadow + (light - shadow) / (1 + Math.exp(((i % WIDTH) + 0.5 - x) / soft)),
  ),
});
/** What is usual on both sides where both are as much lighter as said. */
const lighter = (light: number, shadow: number) => ({
  wanted: [80, 40] as const,
  painted: [80 + light, 40 + shadow] as const,
});
const numbers = Uint8Array.from({ length: WIDTH * HEIGHT }, (_, i) => (i % WIDTH < AT ? 1 : 2));
const sides = { width: WIDTH, height: HEIGHT, numbers };

test.each([
  [4, 1],
  [-5.5, 1],
  [3, 4],
  [-2, 6],
])('moved by %f places, %f places soft, it is found to half a place', (by, soft) => {
  const edge = movedEdge([1, 2], sides, plane(AT, soft), plane(AT + by, soft), lighter(0, 0));
  expect(Math.abs((edge?.by ?? NaN) - by)).toBeLessThan(0.5);
  expect(edge?.explains).toBeGreaterThan(0.9);
});

test('where both sides were painted lighter or flatter it stands where it stood', () => {
  const edge = movedEdge([1, 2], sides, plane(AT, 2), plane(AT, 2, 88, 60), lighter(8, 20));
  expect(Math.abs(edge?.by ?? NaN)).toBeLessThan(0.2);
});

test('a side that is lighter up to the edge has not taken from the other one for it', () => {
  const soft = plane(AT, 6);
  const lit = { ...soft, data: soft.data.map((l, i) => (i % WIDTH < AT ? l + 14 : l)) };
  expect(Math.abs(movedEdge([1, 2], sides, soft, lit, lighter(14, 0))?.by ?? NaN)).toBeLessThan(0.5);
  const moved = plane(AT - 6, 6);
  const both = { ...moved, data: moved.data.map((l, i) => (i % WIDTH < AT - 6 ? l + 14 : l)) };
  expect(Math.abs((movedEdge([1, 2], sides, soft, both, lighter(14, 0))?.by ?? NaN) + 6)).toBeLessThan(1);
});

test('a faint edge, and shapes that do not meet, say nothing', () => {
  const faint = plane(AT, 2, 50, 49);
  expect(movedEdge([1, 2], sides, faint, faint, lighter(0, 0))).toBeNull();
  const apart = { ...sides, numbers: numbers.map((n, i) => (n === 2 && i % WIDTH <= AT + 20 ? 0 : n)) };
  const plain = plane(AT, 2);
  expect(movedEdge([1, 2], apart, plain, plain, lighter(0, 0))).toBeNull();
});
