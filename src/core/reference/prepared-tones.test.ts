/** From a picture and its preparation to what a class paints. */
import fc from 'fast-check';
import { lightnessToGreyCode } from '../colour/grey-code';
import { luminanceToLightness } from '../colour/lab';
import { uprightPhoto } from '../raster/photo';
import { raster } from '../raster/raster';
import { TooFewTones } from '../tones/thresholds';
import { referenceFacts } from './facts';
import { BadFrame, framed, straightened } from './framing';
import { luminanceOf, softLightness } from './luminance-plane';
import { preparationSchema, untouched, WHOLE, type Preparation } from './preparation';
import { NothingToPrepare } from './prepare';
import { beginShapes, referencePlane, shapesOf } from './prepared-tones';
import { corrected, OneSided, type ShadowEdit } from './shadow-map';
import { cutShapes, namesIn, type NamedShape } from './shape-cut';

const [W, H] = [240, 200];
/** A light ground, a dark square at the left, a middle one at the right: lightnesses of 88, 22 and 55. */
const lightnessAt = (x: number, y: number): number =>
  x >= 30 && x < 100 && y >= 40 && y < 150 ? 22 : x >= 150 && x < 210 && y >= 60 && y < 140 ? 55 : 88;
const photo = (at = lightnessAt, width = W, height = H) =>
  uprightPhoto(
    raster(
      'srgb8',
      width,
      height,
      3,
      Uint8Array.from({ length: 3 * width * height }, (_, i) =>
        lightnessToGreyCode(at(Math.floor(i / 3) % width, Math.floor(i / 3 / width))),
      ),
    ),
  );
const plain: Preparation = { ...untouched(W / H), squint: 0, dissolve: 0, smooth: 0, school: 'threshold' };
const named = (x: number, y: number, more: Partial<NamedShape> = {}): NamedShape => ({
  at: { x, y },
  name: 'can > lit side',
  emphasis: 1,
  part: null,
  material: 'matt',
  blocked: 0,
  standing: 'painted',
  steps: null,
  ...more,
});
const whole = (p = plain, at = lightnessAt) => framed(photo(at), p.corners, p.proportion, W);
const toneAt = (
  { toneOf, width, height }: { toneOf: Uint8Array; width: number; height: number },
  x: number,
  y: number,
) => toneOf[Math.floor((y / H) * height) * width + Math.floor((x / W) * width)];

test('the whole picture is taken as it is; a part of it is that part', () => {
  const all = whole();
  expect([all.width, all.height]).toEqual([W, H]);
  const y = luminanceOf(all).data;
  expect(y[0]).toBeGreaterThan(0.7);
  const half = framed(
    photo(),
    [
      { x: 0.5, y: 0 },
      { x: 1, y: 0 },
      { x: 1, y: 1 },
      { x: 0.5, y: 1 },
    ],
    W / 2 / H,
    H,
  );
  expect([half.width, half.height]).toEqual([W / 2, H]);
  expect(luminanceOf(half).data[100 * (W / 2) + 60]).toBeCloseTo(luminanceOf(all).data[100 * W + 180] ?? 0, 2);
});

test('perspective is undone: a leaning square comes out square', () => {
  const corners = [
    { x: 0.2, y: 0.1 },
    { x: 0.9, y: 0.25 },
    { x: 0.8, y: 0.9 },
    { x: 0.1, y: 0.7 },
  ] as const;
  // Light inside the quadrilateral, dark outside.
  const left = (x: number, y: number, k: number) => {
    const [a, b] = [corners[k % 4]!, corners[(k + 1) % 4]!];
    return (b.x - a.x) * (y - a.y) - (b.y - a.y) * (x - a.x) > 0;
  };
  const own = framed(
    photo((x, y) => ([0, 1, 2, 3].every((k) => left((x + 0.5) / W, (y + 0.5) / H, k)) ? 90 : 10)),
    corners,
    1,
    100,
  );
  const dark = luminanceOf(own).data.filter((y) => y < 0.4).length;
  expect(dark / 1e4).toBeLessThan(0.03);
});

test('corners that cross are told; a frame set straight stays inside the picture', () => {
  expect(() => framed(photo(), [WHOLE[1], WHOLE[0], WHOLE[2], WHOLE[3]], 1)).toThrow(BadFrame);
  fc.assert(
    fc.property(
      fc.double({ min: 0.4, max: 2.5, noNaN: true }),
      fc.double({ min: 0.4, max: 2.5, noNaN: true }),
      fc.double({ min: -15, max: 15, noNaN: true }),
      (own, proportion, degrees) => {
        const corners = straightened(own, proportion, degrees);
        for (const { x, y } of corners) expect(x >= 0 && x <= 1 && y >= 0 && y <= 1).toBe(true);
        const side = (a: { x: number; y: number }, b: { x: number; y: number }) =>
          Math.hypot((b.x - a.x) * own, b.y - a.y);
        expect(side(corners[0], corners[1]) / side(corners[1], corners[2])).toBeCloseTo(proportion, 3);
      },
    ),
  );
});

test('a squint of black and white stripes fuses to the lightness of their mean light', () => {
  const stripes = luminanceOf(whole(plain, (x) => (x % 4 < 2 ? 95 : 20)));
  const light = stripes.data.reduce((a, b) => a + b, 0) / stripes.data.length;
  const mean = luminanceToLightness(light);
  expect(mean).toBeGreaterThan(70);
  for (const percent of [2, 5]) expect(softLightness(stripes, percent).data[100 * W + 120]).toBeCloseTo(mean, 0);
  expect(softLightness(stripes, 2, true).data[100 * W + 120]).toBeCloseTo(mean, 0);
});

test('by threshold what is darker is dark; by light and shadow what the map says, whatever its lightness', () => {
  const threshold = referencePlane(whole(), plain, { tones: 2, school: 'threshold' });
  expect([toneAt(threshold, 60, 90), toneAt(threshold, 5, 5)]).toEqual([2, 1]);
  // The dark square is a dark thing in the light; a light place in the shadow is brushed dark.
  const light = {
    ...plain.light,
    edits: [
      { kind: 'shape' as const, to: 'light' as const, x: 60 / W, y: 90 / H },
      { kind: 'stroke' as const, to: 'shadow' as const, width: 0.1, points: [0.9, 0.05, 0.98, 0.05] },
    ],
  };
  const byLight = referencePlane(whole(), { ...plain, light }, { tones: 2, school: 'light-and-shadow' });
  expect([toneAt(byLight, 60, 90), toneAt(byLight, 228, 10), toneAt(byLight, 5, 5)]).toEqual([1, 2, 1]);
  const three = referencePlane(whole(), { ...plain, light }, { tones: 3, school: 'light-and-shadow' });
  expect([toneAt(three, 228, 10), toneAt(three, 5, 5), toneAt(three, 60, 90)]).toEqual([3, 1, 2]);
});

test('a map that is all light or all shadow is told, with the way on', () => {
  const all = {
    ...plain,
    light: {
      ...plain.light,
      edits: [
        {
          kind: 'stroke' as const,
          to: 'shadow' as const,
          width: 0.3,
          points: Array.from(
            { length: 20 },
            (_, k) =>
              [
                [0, k / 19],
                [1, k / 19],
              ] as const,
          ).flat(2),
        },
      ],
    },
  };
  const wanted = { tones: 2, school: 'light-and-shadow' as const };
  expect(() => referencePlane(whole(), all, wanted)).toThrow(OneSided);
  expect(() => referencePlane(whole(), all, wanted)).toThrow('brush in what the light reaches');
});

test('a picture of one flat tone, and a part of a few pixels, are told', () => {
  expect(() =>
    referencePlane(
      whole(plain, () => 50),
      plain,
      { tones: 2, school: 'threshold' },
    ),
  ).toThrow(TooFewTones);
  expect(() =>
    referencePlane(raster('linear', 900, 1, 3, new Float32Array(2700)), plain, { tones: 2, school: 'threshold' }),
  ).toThrow(NothingToPrepare);
});

test('lines between tones that cross are refused with words; twelve tones are the most', () => {
  const parse = (cuts: Preparation['cuts']) => preparationSchema.safeParse({ ...plain, cuts });
  expect(parse({ 'threshold-3': [20, 60] }).success).toBe(true);
  expect(parse({ 'threshold-3': [60, 20] }).error?.issues[0]?.message).toContain('cross');
  expect(preparationSchema.safeParse({ ...plain, tones: 13 }).success).toBe(false);
});

test('lines set by hand are taken; with as many as do not fit the automatic ones come back', () => {
  const by = (cuts: Preparation['cuts']) =>
    referencePlane(whole(), { ...plain, cuts }, { tones: 2, school: 'threshold' }).thresholds;
  expect(by({ 'threshold-2': [70] })).toEqual([70]);
  expect(by({ 'threshold-2': [30, 70] })).toHaveLength(1);
});

test('corrections follow each other in order and leave the proposal alone', () => {
  const proposal = new Uint8Array(100).fill(1);
  const dark: ShadowEdit = { kind: 'stroke', to: 'shadow', width: 0.4, points: [0.5, 0.5, 0.5, 0.5] };
  const lit = corrected(proposal, 10, 10, new Int32Array(100), [dark]);
  expect(lit[55]).toBe(0);
  expect(lit[0]).toBe(1);
  expect(corrected(proposal, 10, 10, new Int32Array(100), [dark, { ...dark, to: 'light' }])).toEqual(proposal);
  expect(proposal.every((v) => v === 1)).toBe(true);
});

test('shapes are merged and split, keep their names, and stand when the tones change', () => {
  const luminance = luminanceOf(whole());
  const lightness = softLightness(luminance, 0);
  const cut = beginShapes(lightness, 3, plain);
  const started: Preparation = { ...plain, shapes: { cut, edits: [], named: [named(60 / W, 90 / H)] } };
  expect(shapesOf(luminance, started).places.size).toBe(3);
  expect(shapesOf(luminance, { ...started, tones: 7, cuts: { 'threshold-3': [10, 90] } }).places.size).toBe(3);
  const merge = { kind: 'merge' as const, a: { x: 60 / W, y: 90 / H }, b: { x: 180 / W, y: 100 / H } };
  const joined = shapesOf(luminance, { ...started, shapes: { ...started.shapes, edits: [merge] } });
  expect(joined.places.size).toBe(2);
  expect([...namesIn(joined, started.shapes.named).values()].map((n) => n.name)).toEqual(['can > lit side']);
  const splits = cutShapes(new Uint8Array(100).fill(1), 10, 10, [
    { kind: 'split', from: { x: 0.5, y: 0 }, to: { x: 0.5, y: 1 } },
  ]);
  expect([...splits.places.values()]).toEqual([50, 50]);
});

test('a shape that is left open is measured by nobody', () => {
  const cut = beginShapes(softLightness(luminanceOf(whole()), 0), 3, plain);
  const left: Preparation = {
    ...plain,
    shapes: { cut, edits: [], named: [named(180 / W, 100 / H, { standing: 'left-open' })] },
  };
  const plane = referencePlane(whole(), left, { tones: 3, school: 'threshold' });
  expect(toneAt(plane, 180, 100)).toBe(0);
  expect(toneAt(plane, 60, 90)).toBe(3);
});

test('facts: range, thirds, shapes, and where the largest contrast falls', () => {
  const lightness = softLightness(luminanceOf(whole()), 0);
  const { toneOf } = referencePlane(whole(), plain, { tones: 3, school: 'threshold' });
  const facts = referenceFacts(lightness, toneOf);
  expect(facts.p5).toBeCloseTo(22, 0);
  expect(facts.p95).toBeCloseTo(88, 0);
  expect(facts.thirds[2]).toBeCloseTo((70 * 110) / (W * H), 2);
  expect(facts.shapes.large).toBe(3);
  expect(facts.contrast.step).toBeCloseTo(66, 0);
});
