import { wayAcross } from './way-across';

const GRID = { width: 9, height: 7 };
const middle = 3 * GRID.width + 4;

test('it leads from one side to the other, square to the line between them', () => {
  const right = wayAcross(middle, 3, GRID, (i) => (i % GRID.width > 4 ? 1 : -1));
  expect(right.x).toBeGreaterThan(0);
  expect(right.y).toBeCloseTo(0);
  const up = wayAcross(middle, 2, GRID, (i) => (Math.floor(i / GRID.width) < 3 ? 1 : 0));
  expect([Math.sign(up.x), Math.sign(up.y)]).toEqual([0, -1]);
});

test('where nothing is parted it has no length, and a corner of the grid is no error', () => {
  expect(wayAcross(middle, 3, GRID, () => 1)).toEqual({ x: 0, y: 0 });
  expect(wayAcross(0, 3, GRID, (i) => (i === 1 ? 1 : 0))).toEqual({ x: 1, y: 0 });
});
