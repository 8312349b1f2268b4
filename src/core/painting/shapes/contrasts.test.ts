import { labToLinearRgb } from '../../colour/lab';
import { raster } from '../../raster/raster';
import { channelsOf, type ColourPlanes } from '../colour/colour-planes';
import { contrastsOf } from './contrasts';
import { formShapes } from '../form/form-plane';

const [WIDTH, HEIGHT] = [90, 60];
const asIs = (l: number) => l;
type Lab = readonly [number, number, number];

/** Three upright bands: jug, cloth, and a wall that has no name. */
const bandOf = (i: number) => Math.floor((3 * (i % WIDTH)) / WIDTH);
const numbers = Uint8Array.from({ length: WIDTH * HEIGHT }, (_, i) => [1, 2, 0][bandOf(i)] as number);
const shape = { object: 'things', part: null, material: 'matt' as const, steps: null };
const shapes = formShapes(numbers, { width: WIDTH, height: HEIGHT }, [
  { ...shape, name: 'jug' },
  { ...shape, name: 'cloth' },
]);
const values = (jug: number, cloth: number) =>
  Float32Array.from(numbers, (_, i) => [jug, cloth, 50][bandOf(i)] as number);
const seen = (wanted: Float32Array, painted: Float32Array) => ({
  width: WIDTH,
  height: HEIGHT,
  numbers,
  shapes,
  wanted,
  painted,
});

function coloured(...bands: readonly Lab[]): ColourPlanes {
  const data = new Float32Array(3 * WIDTH * HEIGHT);
  for (let i = 0; i < WIDTH * HEIGHT; i++) data.set(labToLinearRgb(bands[bandOf(i)] as Lab), 3 * i);
  return channelsOf(raster('linear', WIDTH, HEIGHT, 3, data), (plane) => plane);
}

test('shapes that meet are told as a pair, once, and what has no name is none', () => {
  const found = contrastsOf(seen(values(70, 40), values(66, 44)), asIs, null);
  expect(found.map((c) => c.between)).toEqual([['jug', 'cloth']]);
  expect(found[0]?.lightness.wanted).toBeCloseTo(30, 4);
  expect(found[0]?.lightness.painted).toBeCloseTo(22, 4);
  expect(found[0]?.chroma).toBeNull();
});

test('what the whole is off by is no contrast that is off', () => {
  const half = (l: number) => 30 + 0.5 * l;
  const [found] = contrastsOf(seen(values(70, 40), values(half(70), half(40))), half, null);
  expect(found?.lightness.wanted).toBeCloseTo(found?.lightness.painted ?? NaN, 4);
});

test('shapes that touch at a corner alone do not meet', () => {
  const corner = Uint8Array.from(numbers, (n, i) => (n === 2 && i < 57 * WIDTH ? 0 : n));
  const cut = formShapes(corner, { width: WIDTH, height: HEIGHT }, [
    { ...shape, name: 'jug' },
    { ...shape, name: 'cloth' },
  ]);
  expect(contrastsOf({ ...seen(values(70, 40), values(60, 40)), numbers: corner, shapes: cut }, asIs, null)).toEqual(
    [],
  );
});

test('chroma and hue make up what lightness leaves of a colour difference', () => {
  const [jug, cloth]: [Lab, Lab] = [
    [60, 20, 10],
    [60, -5, 12],
  ];
  const colours = coloured(jug, cloth, [50, 0, 0]);
  const [found] = contrastsOf(seen(values(60, 60), values(60, 60)), asIs, { wanted: colours, painted: colours });
  expect(found?.chroma?.wanted).toBeCloseTo(Math.hypot(20, 10) - Math.hypot(5, 12), 1);
  expect(Math.hypot(found?.chroma?.wanted ?? NaN, found?.hue?.wanted ?? NaN)).toBeCloseTo(Math.hypot(25, 2), 1);
});

test('nothing is told of what the painting does not reach', () => {
  expect(contrastsOf(seen(values(70, 40), values(NaN, NaN)), asIs, null)).toEqual([]);
});
