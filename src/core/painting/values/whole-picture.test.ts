/** A picture as a whole: how its values are spread, where lights and darks lie, where the eye goes first. */
import type { Plane } from '../../raster/between';
import { lookedAt, shareOfFocus } from './whole-picture';

const wholePicture = (...of: Parameters<typeof lookedAt>) => lookedAt(...of).whole;
const [WIDTH, HEIGHT] = [160, 120];
const ENDS = { light: 96, dark: 20 };

const plane = (of: (x: number, y: number) => number): Plane => ({
  width: WIDTH,
  height: HEIGHT,
  data: Float32Array.from({ length: WIDTH * HEIGHT }, (_, i) =>
    of((i % WIDTH) / WIDTH, Math.floor(i / WIDTH) / HEIGHT),
  ),
});
const inBox = (x: number, y: number, [x0, y0, x1, y1]: readonly [number, number, number, number]) =>
  x >= x0 && x < x1 && y >= y0 && y < y1;

test('thirds and the curve of lightness are those of the picture', () => {
  const { thirds, curve } = wholePicture(
    plane((x) => (x < 0.25 ? 90 : x < 0.5 ? 60 : 25)),
    ENDS,
  );
  expect([thirds.light, thirds.middle, thirds.dark].map((s) => Math.round(100 * s))).toEqual([25, 25, 50]);
  expect([curve[0], curve[8], curve[12], curve[20]]).toEqual([25, 25, 60, 90]);
});

test('lights that hang together are one piece, and those that lie about are many; specks are none', () => {
  const together = plane((x, y) =>
    inBox(x, y, [0.1, 0.1, 0.5, 0.5]) || inBox(x, y, [0.8, 0.8, 0.81, 0.81]) ? 92 : 40,
  );
  const { lights, darks } = wholePicture(together, ENDS);
  expect(lights?.pieces).toBe(1);
  expect(lights?.middle.x).toBeCloseTo(0.3, 1);
  expect(lights?.box.width).toBeCloseTo(0.4, 1);
  expect(darks?.pieces).toBe(1);
  const about = plane((x, y) => ((8 * x) % 1 < 0.4 && (6 * y) % 1 < 0.4 ? 92 : 60));
  const scattered = wholePicture(about, ENDS);
  expect(scattered.lights?.pieces).toBeGreaterThan(30);
  expect(scattered.darks).toBeNull();
});

test('the eye goes to where light and dark meet most sharply, and what is not known takes no part', () => {
  const picture = plane((x, y) =>
    inBox(x, y, [0.7, 0.2, 0.8, 0.3]) ? 95 : inBox(x, y, [0.1, 0.6, 0.3, 0.9]) ? 70 : x > 0.97 ? NaN : 30,
  );
  const looked = lookedAt(picture, ENDS);
  const { focus } = looked.whole;
  expect(focus.contrast).toBeGreaterThan(55);
  expect(focus.box.x + focus.box.width / 2).toBeCloseTo(0.75, 1);
  expect(shareOfFocus(looked, focus.box)).toBeCloseTo(1, 1);
  expect(shareOfFocus(looked, { x: 0.1, y: 0.58, width: 0.05, height: 0.05 })).toBeLessThan(0.7);
});
