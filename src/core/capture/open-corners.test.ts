import type { FoundEdge } from './edges';
import { raised } from './raised-plane';
import { BadCorners, checkCorners, markedPlace } from './open-corners';
import { planeFromPoints, toPhoto } from './plane';
import { straighten, unevenness } from './ripple';

const at = (...xy: number[]) => [0, 2, 4, 6].map((i) => ({ x: xy[i] ?? 0, y: xy[i + 1] ?? 0 }));

test.each([
  ['three of them', at(10, 10, 90, 10, 90, 90).slice(0, 3), /four corners, got 3/],
  ['one outside', at(10, 10, 900, 10, 90, 90, 10, 90), /outside the picture of 100 x 100/],
  ['crossing lines', at(10, 10, 90, 90, 90, 10, 10, 90), /cross or bend inwards/],
  ['a corner bent inwards', at(10, 10, 90, 10, 30, 30, 10, 90), /cross or bend inwards/],
  ['the wrong way round', at(10, 10, 10, 90, 90, 90, 90, 10), /wrong way round/],
  ['all on one line', at(10, 50, 30, 50, 60, 50, 90, 50), /enclose nothing/],
  ['all on one spot', at(50, 50, 50, 50, 50, 50, 50, 50), /enclose nothing/],
  ['too small', at(50, 50, 60, 50, 60, 60, 50, 60), /too small in the picture/],
])('%s is told', (_, corners, words) => {
  expect(() => checkCorners(corners, 100, 100)).toThrow(BadCorners);
  expect(() => checkCorners(corners, 100, 100)).toThrow(words);
});

test('the longer side of what is marked is called 200 mm, and its corners are where they were put', () => {
  const corners = at(100, 120, 900, 150, 880, 400, 110, 390);
  const { plane, box } = markedPlace(corners, 1000, 800);
  expect(box.widthMm).toBe(200);
  expect(box.heightMm).toBeGreaterThan(60);
  const back = toPhoto(plane, box.widthMm, box.heightMm);
  expect(Math.hypot(back.x - 880, back.y - 400)).toBeLessThan(1e-2);
});

const flat = planeFromPoints(
  [
    { mm: { x: 0, y: 0 }, photo: { x: 100, y: 100 } },
    { mm: { x: 210, y: 0 }, photo: { x: 2200, y: 100 } },
    { mm: { x: 210, y: 297 }, photo: { x: 2200, y: 3070 } },
    { mm: { x: 0, y: 297 }, photo: { x: 100, y: 3070 } },
  ],
  2400,
  3200,
);

/** Edges round the rim of a sheet, displaced as a sheet in waves would have them. */
function rim(wave: (y: number) => number): FoundEdge[] {
  return Array.from({ length: 160 }, (_, i) => {
    const [x, y] = [i % 2 === 0 ? 11 : 199, 8 + (i / 159) * 280];
    const photo = toPhoto(flat, x, y);
    return {
      probe: { xMm: x, yMm: y, nx: 1, ny: 0, reachMm: 1 },
      mm: { x, y },
      photo: { x: photo.x + 10 * wave(y), y: photo.y },
      normal: { x: 1, y: 0 },
      widthMm: 0.2,
    };
  });
}

test('a sheet in waves is straightened where print shows it; a flat one is left as it is', () => {
  expect(
    straighten(
      flat,
      rim(() => 0.02),
      210,
      297,
    ),
  ).toBe(flat);
  const edges = rim((y) => 0.8 * Math.sin(y / 22));
  expect(unevenness(flat, edges)).toBeGreaterThan(0.6);
  expect(unevenness(straighten(flat, edges, 210, 297), edges)).toBeLessThan(0.25);
});

test('a canvas that stands towards the camera is seen larger about the point below the lens', () => {
  const up = raised(flat, 20);
  const middle = toPhoto(up, 110, 150);
  const [left, right] = [toPhoto(up, 0, 150), toPhoto(up, 210, 150)];
  expect(right.x - left.x).toBeGreaterThan(2100);
  expect(Math.hypot(middle.x - 1200, middle.y - 1600)).toBeLessThan(15);
  expect(raised(flat, 0)).toBe(flat);
});
