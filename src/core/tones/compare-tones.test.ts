/** Paintings of few tones against what they were painted from, on made-up planes. */
import { flippedRegions, toneAgreement, type TonePlane } from './compare-tones';

const [WIDTH, HEIGHT] = [300, 240];
type At = (x: number, y: number) => number;
const plane = (at: At): TonePlane => ({
  width: WIDTH,
  height: HEIGHT,
  toneOf: Uint8Array.from({ length: WIDTH * HEIGHT }, (_, i) => at(i % WIDTH, Math.floor(i / WIDTH))),
});
const disc = (cx: number, cy: number, r: number) => (x: number, y: number) => Math.hypot(x - cx, y - cy) < r;
const [moon, pot] = [disc(90, 80, 40), disc(210, 150, 50)];
const scene: At = (x, y) => (moon(x, y) ? 1 : pot(x, y) ? 3 : 2);
const wanted = plane(scene);
const none = { x: 0, y: 0 };

test('a perfect copy agrees wholly, beyond chance too, and nothing is flipped', () => {
  expect(toneAgreement(wanted, wanted, 3)).toEqual({
    agreement: 1,
    agreementTolerant: 1,
    agreementAligned: 1,
    kappa: 1,
    shift: none,
  });
  expect(flippedRegions(wanted, wanted, none)).toEqual([]);
});

test('agreement and kappa are those of the counts', () => {
  // Half light, half dark; a quarter of all is painted the other way.
  const half = plane((x) => (x < WIDTH / 2 ? 1 : 2));
  const painted = plane((x) => (x < WIDTH / 4 ? 2 : x < WIDTH / 2 ? 1 : 2));
  const { agreement, kappa } = toneAgreement(painted, half, 2);
  expect(agreement).toBe(0.75);
  // Chance: a quarter is painted light, three quarters dark, half of each wanted.
  expect(kappa).toBeCloseTo((0.75 - 0.5) / 0.5, 9);
});

test('where all is one tone chance agrees too, and kappa is not told', () => {
  const flat = plane(() => 2);
  expect(toneAgreement(flat, flat, 3).kappa).toBeNull();
});

test('an outline that is ragged but right is no flipped shape', () => {
  const ragged = plane((x, y) =>
    scene(x + 2.4 * Math.sin(y / 2.3) + 1.2 * Math.sin(x / 1.7), y + 2.4 * Math.cos(x / 2.9)),
  );
  expect(flippedRegions(ragged, wanted, none)).toEqual([]);
  const { agreement, agreementTolerant } = toneAgreement(ragged, wanted, 3);
  expect(agreement).toBeLessThan(0.99);
  expect(agreementTolerant).toBeGreaterThan(agreement);
});

test('a flipped shape is told with its place, its size and both tones', () => {
  const lantern = disc(60, 190, 22);
  const painted = plane((x, y) => (lantern(x, y) ? 1 : pot(x, y) ? 2 : scene(x, y)));
  const [first, second, ...more] = flippedRegions(painted, wanted, none);
  expect(more).toEqual([]);
  expect(first).toMatchObject({ drawn: 2, wanted: 3 });
  expect(first?.area).toBeCloseTo((Math.PI * 50 * 50) / (WIDTH * HEIGHT), 2);
  expect(second).toMatchObject({ drawn: 1, wanted: 2 });
  expect((second?.box.x ?? 0) * WIDTH).toBeCloseTo(38, -1);
  expect((second?.box.width ?? 0) * WIDTH).toBeCloseTo(44, -1);
});

test('a picture that sits a little off is told once, and not in every shape', () => {
  const moved = plane((x, y) => scene(x - 9, y + 6));
  const { shift, agreement, agreementAligned } = toneAgreement(moved, wanted, 3);
  expect(shift).toEqual({ x: 9, y: -6 });
  expect(agreement).toBeLessThan(0.95);
  expect(agreementAligned).toBe(1);
  expect(flippedRegions(moved, wanted, shift)).toEqual([]);
  expect(flippedRegions(moved, wanted, none).length).toBeGreaterThan(0);
});

test('pictures of other sizes are told apart', () => {
  expect(() => toneAgreement({ ...wanted, width: WIDTH / 2, height: 2 * HEIGHT }, wanted, 3)).toThrow(
    '150 x 480 places',
  );
});
