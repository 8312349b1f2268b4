/** Shadows beside lights, on planes that are known: an upper light half and a lower dark half of one thing, and a wall. */
import { labToLinearRgb } from '../../colour/lab';
import type { Triple } from '../../colour/srgb';
import { raster } from '../../raster/raster';
import { channelsOf } from './colour-planes';
import { formShapes } from '../form/form-plane';
import { shadowWarmths } from './shadow-warmth';

const [WIDTH, HEIGHT] = [90, 60];
const partAt = (i: number): 0 | 1 | 2 => (i % WIDTH < 45 ? 0 : Math.floor(i / WIDTH) < 30 ? 1 : 2);
const numbers = Uint8Array.from({ length: WIDTH * HEIGHT }, (_, i) => partAt(i));

const picture = (wall: Triple, lit: Triple, shadow: Triple) => {
  const data = new Float32Array(3 * WIDTH * HEIGHT);
  for (let i = 0; i < WIDTH * HEIGHT; i++) data.set(labToLinearRgb([wall, lit, shadow][partAt(i)] as Triple), 3 * i);
  return channelsOf(raster('linear', WIDTH, HEIGHT, 3, data), (plane) => plane);
};
const named = (material: 'matt' | 'metal' = 'matt') =>
  formShapes(numbers, { width: WIDTH, height: HEIGHT }, [
    { name: 'jug > lit side', object: 'jug', part: 'lit', material, steps: null },
    { name: 'jug > shadow side', object: 'jug', part: 'shadow', material, steps: null },
  ]);
const wanted = picture([70, 0, 0], [75, 4, 14], [40, 2, 6]);

test('how much warmer a shadow is than its light, along the warmest hue, whatever lies over both', () => {
  const [own] = shadowWarmths(named(), wanted, picture([70, 5, 9], [75, 7, 20], [40, 8, 29]));
  expect(own?.shadows).toEqual(['jug > shadow side']);
  expect(own?.wanted).toBeCloseTo(-2 * 0.5 - 8 * Math.sqrt(0.75), 1);
  expect(own?.painted).toBeCloseTo(1 * 0.5 + 9 * Math.sqrt(0.75), 1);
  expect(own?.box.x).toBeCloseTo(0.5, 1);
});

test('metal mirrors what stands about it, and a thing without a named shadow has none: neither is asked', () => {
  expect(shadowWarmths(named('metal'), wanted, wanted)).toEqual([]);
  expect(shadowWarmths(named().slice(0, 1), wanted, wanted)).toEqual([]);
});
