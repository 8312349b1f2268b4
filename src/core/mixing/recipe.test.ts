import fc from 'fast-check';
import { warmth } from '../colour/temperature';
import { PAINT_IDS, type PaintId, PAINTS } from '../exercise/paints';
import { targetLightnesses } from '../exercise/targets';
import { recipeOf } from '../kinds/exercise-recipe';
import { areasOf, defaultTerms, KIND_IDS, valuesOf } from '../kinds/table';
import { amountsFor, leftForOneDark, orderToMix, washesBefore } from './amounts';
import { millilitres } from './film';
import { darkensBy, nudge } from './nudge';
import { coveringLab, mixModel, type PaintModel, paletteOf } from './paint-model';
import { MOST_PARTS, recipeTree } from './recipe-tree';
import type { SurfaceId } from './surface';

const palette = paletteOf(PAINT_IDS);
const model = (id: PaintId): PaintModel => palette.get(id) as PaintModel;
const family = (name: string) => PAINT_IDS.filter((id) => PAINTS[id].family === name);
const pairs = family('white').flatMap((white) => family('black').map((black) => [white, black] as const));
const evenBetween = (white: PaintId, black: PaintId, steps: number, surface: SurfaceId) => {
  const ends = { light: coveringLab(model(white), surface)[0], dark: coveringLab(model(black), surface)[0] };
  return targetLightnesses(steps, ends, 'light-first', 'lightness');
};
const usual = recipeTree(
  evenBetween('titanium-white', 'ivory-black', 9, 'matt'),
  model('titanium-white'),
  model('ivory-black'),
  'matt',
);

test.each(pairs)('%s and %s: nine steps in whole parts up to eight, each within 1.5 L*', (white, black) => {
  for (const surface of ['matt', 'satin', 'gloss'] as const) {
    const tree = recipeTree(evenBetween(white, black, 9, surface), model(white), model(black), surface);
    for (const p of tree.puddles) {
      // Mixed anew from what it says, not from what the search remembered.
      const made = coveringLab(mixModel(palette, { [white]: 1 - p.darkShare, [black]: p.darkShare }), surface)[0];
      expect(Math.abs(made - p.target)).toBeLessThanOrEqual(1.5);
      for (const part of p.parts ?? []) expect(Number.isInteger(part) && part >= 1 && part <= MOST_PARTS).toBe(true);
      if (!p.from || !p.parts) continue;
      const [a, b] = p.from.map((s) => tree.puddles.find((q) => q.step === s)?.darkShare ?? (s === 0 ? 0 : 1)) as [
        number,
        number,
      ];
      expect(p.darkShare).toBeCloseTo((p.parts[0] * a + p.parts[1] * b) / (p.parts[0] + p.parts[1]), 12);
    }
  }
});

test('plain halving misses on the dark side, and is kept only where it holds', () => {
  expect(usual.halving).toBe(false);
  const weak = { ...model('ivory-black'), absorption: [1, 1, 1] as const, scattering: [0.4, 0.4, 0.4] as const };
  const ends = { light: coveringLab(model('titanium-white'), 'matt')[0], dark: coveringLab(weak, 'matt')[0] };
  const tree = recipeTree(
    targetLightnesses(5, ends, 'light-first', 'lightness'),
    model('titanium-white'),
    weak,
    'matt',
  );
  expect(tree).toMatchObject({ halving: true, order: [3, 2, 4] });
});

test('each puddle comes after what it is mixed from, in every school’s order', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 3, max: 15 }),
      fc.constantFrom(...pairs),
      fc.constantFrom('ends-first' as const, 'light-to-dark' as const, 'dark-to-light' as const),
      (steps, [white, black], work) => {
        const tree = recipeTree(evenBetween(white, black, steps, 'satin'), model(white), model(black), 'satin');
        const order = orderToMix(tree, work);
        expect([...order].sort((a, b) => a - b)).toEqual(tree.puddles.map((p) => p.step));
        expect(tree.worst).toBeLessThan(1.5);
        for (const p of tree.puddles)
          for (const s of p.from ?? [])
            if (tree.puddles.some((q) => q.step === s)) expect(order.indexOf(s)).toBeLessThan(order.indexOf(p.step));
      },
    ),
    { numRuns: 40 },
  );
});

test('amounts count what later puddles take: what goes in is what comes out', () => {
  const own = usual.puddles.map((_, i) => 0.1 + 0.05 * i);
  const { puddles, light, dark } = amountsFor(usual, own);
  expect(light + dark).toBeCloseTo(
    own.reduce((a, b) => a + b, 0),
    9,
  );
  const black = usual.puddles.reduce((sum, p, i) => sum + (own[i] ?? 0) * p.darkShare, 0);
  expect(dark).toBeCloseTo(black, 9);
  own.forEach((ml, i) => expect(puddles.get(i + 1)).toBeGreaterThanOrEqual(ml - 1e-12));
  expect(() => amountsFor(usual, [1, 2])).toThrow(RangeError);
});

test('a target that no paint reaches is told, and the tube stands in; an end that the tube overshoots is mixed', () => {
  const tree = recipeTree([99.5, 80, 60, 40, 10], model('titanium-white'), model('ivory-black'), 'matt');
  expect(tree.beyond).toEqual([1, 5]);
  expect(tree.puddles[0]).toMatchObject({ from: null, darkShare: 0 });
  const inside = recipeTree([94, 76, 58, 40, 28], model('titanium-white'), model('ivory-black'), 'matt');
  expect(inside.beyond).toEqual([]);
  expect(inside.puddles[0]?.from).not.toBeNull();
  expect(Math.abs((inside.puddles[0]?.lightness ?? 0) - 94)).toBeLessThan(1.5);
  expect(() => recipeTree([90, 50, 10], model('ivory-black'), model('titanium-white'), 'matt')).toThrow('no darker');
  expect(() => recipeTree([90, 50], model('titanium-white'), model('ivory-black'), 'matt')).toThrow('at least 3');
});

test('an unwashed brush matters where little is mixed after much darker paint', () => {
  const { puddles } = usual;
  const plenty = amountsFor(
    usual,
    puddles.map(() => 20),
  );
  const little = amountsFor(
    usual,
    puddles.map(() => 0.1),
  );
  const darkFirst = [...puddles].reverse().map((p) => p.step);
  const lightFirst = puddles.map((p) => p.step);
  const before = (order: number[], amounts: typeof plenty) =>
    washesBefore(usual, order, amounts, 12, model('titanium-white'), model('ivory-black'), 'matt');
  expect(before(lightFirst, plenty)).toEqual([]);
  expect(before(darkFirst, little).length).toBeGreaterThan(before(lightFirst, little).length);
  expect(before([9, 1], little)).toEqual([1]);
});

test('targets in no order are answered too, by a search that ends', () => {
  fc.assert(
    fc.property(fc.array(fc.double({ min: 0, max: 100, noNaN: true }), { minLength: 15, maxLength: 15 }), (targets) => {
      const tree = recipeTree(targets, model('titanium-white'), model('lamp-black'), 'gloss');
      expect(tree.puddles.filter((p) => Number.isInteger(p.step))).toHaveLength(15);
    }),
    { numRuns: 20 },
  );
});

test('black added to what is left gives the next puddle', () => {
  const [from, to] = [usual.puddles[2], usual.puddles[3]];
  if (!from || !to) throw new Error('puddles');
  const parts = leftForOneDark(from, to) ?? 0;
  expect((parts * from.darkShare + 1) / (parts + 1)).toBeCloseTo(to.darkShare, 12);
  expect(leftForOneDark(to, from)).toBeNull();
});

test('a nudge says what to add, or where the puddle will do', () => {
  const targets = valuesOf(defaultTerms('scale'));
  const at = (had: number, step: number) =>
    nudge(had, step, targets, model('titanium-white'), model('ivory-black'), 'matt');
  const light = at((targets[4] ?? 0) + 4, 5);
  expect(light).toMatchObject({ add: 'dark', useFor: null, reachable: true });
  expect(light.off).toBeCloseTo(4, 9);
  expect(light.toParts).toBeGreaterThan(15);
  expect(at((targets[4] ?? 0) - 4, 5)).toMatchObject({ add: 'light' });
  expect(at((targets[4] ?? 0) - 4, 5).toParts).toBeLessThan(10);
  expect(at((targets[5] ?? 0) + 0.4, 5)).toMatchObject({ useFor: 6 });
  expect(at((targets[4] ?? 0) + 0.4, 5)).toMatchObject({ add: null, useFor: null });
  expect(() => at(50, 10)).toThrow(RangeError);
  expect(darkensBy(0.05, 1, model('titanium-white'), model('ivory-black'), 'matt')).toBeGreaterThan(1);
});

test.each(KIND_IDS)('%s: its recipe uses the paint that its areas take', (kind) => {
  const terms = defaultTerms(kind);
  const recipe = recipeOf(terms);
  if (kind === 'notan') return expect(recipe).toBeNull();
  const whole = millilitres(
    areasOf(terms).reduce((sum, a) => sum + a.areaMm2, 0),
    terms.medium,
  );
  expect(Object.values(recipe?.tubes ?? {}).reduce((a, b) => a + b, 0)).toBeCloseTo(whole, 6);
  expect(recipe?.worst).toBeLessThan(1.5);
  expect([...(recipe?.order ?? [])].filter(Number.isInteger).sort((a, b) => a - b)).toEqual(
    valuesOf(terms).map((_, i) => i + 1),
  );
});

test('yellow with black turns to green before it is painted; a red hardly turns', () => {
  const scale = defaultTerms('monochrome-scale');
  const turn = (hue: string, paint: PaintId) => {
    const recipe = recipeOf({
      ...scale,
      hue,
      materials: { ...scale.materials, paints: ['titanium-white', paint, 'ivory-black'] },
    });
    return (
      recipe?.steps
        .filter((s) => (s.shares['ivory-black'] ?? 0) > 0 && s.hueTurn !== null)
        .map((s) => s.hueTurn ?? 0) ?? []
    );
  };
  expect(Math.max(...turn('lemon yellow', 'lemon-yellow'))).toBeGreaterThan(5);
  expect(Math.max(...turn('cadmium yellow', 'cadmium-yellow'))).toBeGreaterThan(10);
  expect(Math.max(...turn('cadmium red', 'cadmium-red').map(Math.abs))).toBeLessThan(20);
});

test('where the runs meet, the pure colour is mixed for both', () => {
  const recipe = recipeOf(defaultTerms('monochrome-scale'));
  const pure = recipe?.steps.find((s) => s.shares['burnt-sienna'] === 1);
  expect(pure?.millilitres).toBeCloseTo(recipe?.tubes['burnt-sienna'] ?? 0, 9);
  const takers = [...(recipe?.steps ?? []), ...(recipe?.onTheWay ?? [])].filter((s) =>
    s.mix.some((m) => 'step' in m.source && m.source.step === pure?.step),
  );
  expect(takers.some((s) => (s.shares['titanium-white'] ?? 0) > 0)).toBe(true);
  expect(takers.some((s) => (s.shares['ivory-black'] ?? 0) > 0)).toBe(true);
});

test('greys with white in them are cooler than both their ends', () => {
  const steps = recipeOf(defaultTerms('scale'))?.steps ?? [];
  const ends = [steps[0]?.lab ?? [0, 0, 0], steps.at(-1)?.lab ?? [0, 0, 0]] as const;
  for (const s of steps.slice(3, -3)) for (const end of ends) expect(warmth(s.lab, end)).toBeLessThan(-0.5);
});

test('the pure colour stands in the middle or where its value falls, with straight halves to it', () => {
  const scale = {
    ...defaultTerms('monochrome-scale'),
    hue: 'yellow ochre',
    materials: {
      ...defaultTerms('scale').materials,
      paints: ['titanium-white', 'yellow-ochre', 'ivory-black'] as PaintId[],
    },
  };
  const [middle, own] = [recipeOf({ ...scale, pureAt: 'middle-step' }), recipeOf({ ...scale, pureAt: 'own-value' })];
  const pureAt = (r: typeof middle) => r?.steps.find((s) => s.shares['yellow-ochre'] === 1)?.step;
  expect(pureAt(middle)).toBe(5);
  expect(pureAt(own)).toBe(4);
  const halves = middle?.steps.map((s) => s.target) ?? [];
  expect((halves[0] ?? 0) - (halves[1] ?? 0)).toBeCloseTo((halves[3] ?? 0) - (halves[4] ?? 0), 6);
  expect(
    recipeOf({ ...scale, order: 'dark-first', pureAt: 'middle-step' })?.steps[0]?.shares['ivory-black'],
  ).toBeGreaterThan(0.5);
  expect(
    recipeOf({ ...scale, materials: { ...scale.materials, paints: ['titanium-white', 'ivory-black'] } }),
  ).toBeNull();
});
