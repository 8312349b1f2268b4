/** Colours of copies, on photographs of them. The bench makes many. */
import type { ColourTrial } from './painting/colour-trial';
import { openColourTrials } from './trials';

const trials = openColourTrials();
afterAll(() => trials.close());

const trial = (seed: number, more: Partial<ColourTrial>): ColourTrial => ({
  ...{ seed, scene: 9200 + (seed % 12), camera: 'window', megapixels: 4, way: 'sheet' },
  ...{ mistaken: 0, whole: 'right', named: true },
  ...more,
});

test('on a sheet with coloured patches colours are read as they were painted, and those that are mistaken are told', async () => {
  const [copy, cast, faithful] = await trials.run([
    trial(5101, { mistaken: 15 }),
    trial(5102, { whole: 'cast' }),
    trial(5103, { named: false }),
  ]);
  expect([copy, cast, faithful].map((o) => o?.basis)).toEqual(['measured', 'measured', 'measured']);
  for (const { read, painted } of copy?.shapes ?? [])
    expect(Math.hypot((read?.[0] ?? 99) - painted[0], (read?.[1] ?? 99) - painted[1])).toBeLessThan(3);
  const mistaken = (copy?.shapes ?? []).filter((s) => s.by).map((s) => s.name);
  const off = (copy?.said ?? []).filter((s) => s.code === 'colour_off').map((s) => s.shape);
  expect(mistaken.length).toBeGreaterThan(0);
  expect(new Set(off)).toEqual(new Set(mistaken));
  expect(cast?.said.map((s) => s.code)).toEqual(['colours_hold', 'colour_cast']);
  expect(faithful?.said.map((s) => s.code)).toEqual(['colours_hold']);
});

test('shadows that turn warm where they should turn cool are told, though no shape is far from its colour', async () => {
  const outcomes = await trials.run(
    [5201, 5202, 5204].map((seed) => trial(seed, { scene: seed + 3999, turned: true })),
  );
  const turned = outcomes.flatMap((o, k) => o.turned.map((name) => `${k} ${name}`));
  const told = outcomes.flatMap((o, k) => o.said.flatMap((s) => (s.shape ? [`${k} ${s.shape} ${s.code}`] : [])));
  expect(turned.length).toBeGreaterThanOrEqual(3);
  expect(told).toEqual(turned.map((name) => `${name} shadow_warmth`));
  expect(outcomes.flatMap((o) => o.said.map((s) => s.code))).not.toContain('colours_hold');
});
