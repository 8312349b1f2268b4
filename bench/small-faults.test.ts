/** Small faults of a painting on a photograph of it: thin lines, and how far shapes reach. The bench makes many. */
import { meet, THIN } from './painting/boxes';
import type { PaintingTrial } from './painting/painting-trial';
import { openPaintingTrials } from './trials';

const trials = openPaintingTrials();
afterAll(() => trials.close());

const SEED = 8100;
/** One picture for both: rendering it takes longer than all else. */
const trial = (small?: PaintingTrial['small'] & string): PaintingTrial => ({
  seed: SEED,
  scene: SEED,
  camera: small === 'accents' ? 'studio' : 'window',
  way: 'sheet',
  card: 'measured',
  megapixels: 4,
  mistaken: 0,
  moved: false,
  ...(small && { small }),
});

test('lines that are missing, weak, thin, wide or in the painting alone are told as that where they are, and hardly any other', async () => {
  const outcomes = await trials.run([trial('accents')]);
  const planted = outcomes.flatMap(({ accents }) =>
    accents.planted
      .filter((p) => p.fate !== 'held')
      .map((p) => accents.told.some((t) => t.kind === p.fate && t.light === p.light && meet(t.box, p.box, THIN))),
  );
  expect(planted.length).toBeGreaterThan(1);
  expect(planted.filter(Boolean).length).toBeGreaterThanOrEqual(0.7 * planted.length);
  const beside = outcomes.flatMap(({ accents }) =>
    accents.told.filter((t) => !accents.planted.some((p) => p.fate !== 'held' && meet(t.box, p.box, THIN))),
  );
  expect(beside.length).toBeLessThan(2);
});

test('an edge between light and shadow that moved is told by the name of the smaller one', async () => {
  const outcomes = await trials.run([trial('extents')]);
  const of = (kinds: readonly { readonly name: string | null; readonly kind: string }[]) =>
    kinds.filter((e) => e.kind !== 'detail').map((e) => `${e.name} ${e.kind}`);
  const planted = outcomes.flatMap((o, k) => of(o.extents.planted).map((e) => `${k} ${e}`));
  const told = outcomes.flatMap((o, k) => of(o.extents.told).map((e) => `${k} ${e}`));
  expect(planted.length).toBeGreaterThan(0);
  expect(told.filter((e) => !planted.includes(e))).toEqual([]);
  expect(told.length).toBeGreaterThanOrEqual(planted.length / 2);
});

test('shapes that go over from light to dark otherwise are told, and no others', async () => {
  const outcomes = await trials.run([trial('modelling')]);
  const turned = outcomes.flatMap(({ modelled, findings }) =>
    modelled.gradients.map(({ name, by }) => ({
      by,
      told: findings.some((f) => ['gradient_off', 'part_off'].includes(f.code) && f.where.shape === name),
      asGradient: findings.some((f) => f.code === 'gradient_off' && f.where.shape === name),
    })),
  );
  const plain = turned.filter(({ by }) => by > 15);
  expect(plain.length).toBeGreaterThan(0);
  expect(plain.filter((t) => t.told).length).toBeGreaterThanOrEqual(plain.length / 2);
  expect(turned.filter((t) => t.asGradient && t.by < 5)).toEqual([]);
});

test('a touch of red in a painting in umber is told where it is, and greys have none', async () => {
  const [touched, grey] = await trials.run([{ ...trial(), touch: true }, trial()]);
  const smallest = touched?.shapes.reduce((a, b) => (a.area <= b.area ? a : b));
  const places = touched?.accentsOfColour?.places ?? [];
  expect(places.length).toBeGreaterThan(0);
  for (const { box } of places) expect(smallest && meet(box, smallest.box)).toBe(true);
  expect(grey?.accentsOfColour).toEqual({ allowed: false, places: [] });
});
