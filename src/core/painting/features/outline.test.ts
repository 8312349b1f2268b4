/** A thing whose outline is known, moved in front of other ground. */
import { placesOfNumbers } from '../../raster/zone';
import { type Affine, AS_IT_IS, placed } from '../registration/affine';
import { fittedOutline, outlinePlaces } from './outline';

const [WIDTH, HEIGHT] = [320, 240];
const GRID = { width: WIDTH, height: HEIGHT };

/** A rounded box about (0.1, 0) as a map has it, soft at its edge, before a ground that may change half way across. */
const plane = (map: Affine, inside: number, left: number, right: number) => ({
  ...GRID,
  data: Float32Array.from({ length: WIDTH * HEIGHT }, (_, i) => {
    const [u, v] = [((i % WIDTH) + 0.5 - WIDTH / 2) / WIDTH, (Math.floor(i / WIDTH) + 0.5 - HEIGHT / 2) / WIDTH];
    const det = map[0] * map[4] - map[1] * map[3];
    const [p, q] = [u - map[2], v - map[5]];
    const [x, y] = [(map[4] * p - map[1] * q) / det - 0.1, (map[0] * q - map[3] * p) / det];
    const far = (Math.abs(x / 0.08) ** 6 + Math.abs(y / 0.12) ** 6) ** (1 / 6) - 1;
    const share = 1 / (1 + Math.exp(far * 25));
    return share * inside + (1 - share) * (u < 0.1 ? left : right);
  }),
});
const [box] = placesOfNumbers(
  plane(AS_IT_IS, 80, 40, 40).data.map((l) => (l > 60 ? 1 : 0)) as unknown as Uint8Array,
  1,
  1,
) as [Int32Array];
const outline = outlinePlaces(box, GRID);

test('the way out of a thing leads out of it, all round', () => {
  expect(outline.length).toBeGreaterThan(100);
  expect(outline.every(({ x, y, outX, outY }) => (x - 0.1) * outX + y * outY > 0)).toBe(true);
});

test.each([
  ['the ground it had', 40, 40],
  ['a ground that is lighter than itself on one side', 95, 30],
])('before %s its place, width, height and slant are found', (_, left, right) => {
  const moved: Affine = [1.06, -0.05, 0.012, 0, 0.95, -0.008];
  const start: Affine = [1, 0, 0.009, 0, 1, -0.004];
  const reference = plane(AS_IT_IS, 80, 40, 40);
  const { map: found, held } = fittedOutline(outline, reference, plane(moved, 72, left, right), AS_IT_IS, start);
  expect(held).toBeGreaterThan(0.7);
  const [[x, y], [wantX, wantY]] = [placed(found, 0.1, 0), placed(moved, 0.1, 0)];
  expect(Math.hypot(x - wantX, y - wantY)).toBeLessThan(0.0015);
  expect(Math.abs(found[0] - moved[0])).toBeLessThan(0.035);
  expect(Math.abs(found[4] - moved[4])).toBeLessThan(0.035);
  expect(Math.abs(found[1] - moved[1])).toBeLessThan(0.03);
});

test('where nothing is to be seen it stays where it was looked for', () => {
  const flat = { ...GRID, data: new Float32Array(WIDTH * HEIGHT).fill(50) };
  const found = fittedOutline(outline, plane(AS_IT_IS, 80, 40, 40), flat, AS_IT_IS, AS_IT_IS);
  expect(found).toEqual({ map: AS_IT_IS, held: 0 });
});
