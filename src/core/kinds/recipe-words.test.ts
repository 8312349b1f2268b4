/** Recipes, nudges and mixes in words, as sheets, phones and tables show them. */
import fc from 'fast-check';
import { stepLabels } from '../exercise/numbering';
import type { ExerciseWords } from '../handout/exercise-sheet';
import { drawRecipePage } from '../handout/recipe-page';
import { sampleWords } from '../handout/sample-words';
import { greyEnds, greySet } from '../mixing/grey-set';
import { nudge } from '../mixing/nudge';
import { sayNudge } from '../mixing/nudge-words';
import { mixModel, paletteOf } from '../mixing/paint-model';
import type { Recipe } from '../mixing/recipe';
import { puddleName, recipeLines, sayBeyond, sayMillilitres, sayMix } from '../mixing/recipe-words';
import { recipeOf } from './exercise-recipe';
import { defaultTerms, workLines } from './table';

const scale = defaultTerms('scale');
const labels = stepLabels('black-is-one', scale);
const recipe = recipeOf(scale) as Recipe;
const oil = defaultTerms('scale', 'oil');
const few = recipeOf({ ...oil, steps: 3, ends: { light: 96, dark: 14 } }) as Recipe;
const palette = paletteOf(['titanium-white', 'ivory-black']);
const [white, black] = [mixModel(palette, { 'titanium-white': 1 }), mixModel(palette, { 'ivory-black': 1 })];
const names = { step: '5', light: 'titanium white', dark: 'ivory black', other: null };
const at = (had: number, step = 5) =>
  nudge(
    had,
    step,
    recipe.steps.map((s) => s.target),
    white,
    black,
    'matt',
  );

test('puddles go by the class’s names, greys on the way by letters in the order of mixing', () => {
  expect(puddleName(recipe, 1, labels)).toBe('9');
  expect(few.onTheWay.length).toBeGreaterThan(0);
  const onTheWay = few.order.filter((s) => !Number.isInteger(s)).map((s) => puddleName(few, s, []));
  expect(onTheWay).toEqual(['A', 'B', 'C', 'D'].slice(0, onTheWay.length).map((l) => `grey ${l}`));
});

test('a line says what of what, how much, and whether to wash', () => {
  const lines = recipeLines(recipe, labels);
  expect(lines).toHaveLength(9);
  expect(lines[0]).toMatchObject({ name: '9', mix: 'titanium white, from the tube', washFirst: false });
  const mixed = lines.filter((l) => !l.mix.includes('tube'));
  for (const l of mixed) expect(l.mix).toMatch(/^\d parts? (of \d|[a-z ]+) \+ \d parts? (of \d|[a-z ]+)$/);
  const other = mixed.filter((l) => l.orFromLeft);
  expect(other.length).toBeGreaterThan(0);
  for (const l of other) {
    const [, parts, of] = /^1 part ivory black to ([\d.]+) parts of what is left of (\d)$/.exec(l.orFromLeft) ?? [];
    expect(Number(parts)).toBeLessThanOrEqual(40);
    expect(lines.findIndex((m) => m.name === of)).toBeLessThan(lines.indexOf(l));
  }
  expect(lines[0]?.orFromLeft).toBe('');
  for (const l of lines) expect(l.amount).toMatch(/^\d+\.\d+ ml$/);
  // Whatever is named as a source was made on a line above.
  mixed.forEach((l) => {
    for (const [, source] of l.mix.matchAll(/of (\d+)/g))
      expect(lines.findIndex((m) => m.name === source)).toBeLessThan(lines.indexOf(l));
  });
  expect([sayMillilitres(0.042), sayMillilitres(0.0951), sayMillilitres(12.34)]).toEqual([
    '0.04 ml',
    '0.1 ml',
    '12.3 ml',
  ]);
});

test('one part is said as one', () => {
  const single = {
    ...recipe.steps[3],
    mix: [
      { source: { step: 1 }, parts: 1 },
      { source: { paint: 'ivory-black' as const }, parts: 3 },
    ],
  } as Recipe['steps'][number];
  expect(sayMix(recipe, single, [])).toBe('1 part of 1 + 3 parts ivory black');
});

test('what the paints don’t reach is said once, with what they do', () => {
  expect(sayBeyond(recipe, labels)).toBe('');
  const zinc = recipeOf({
    ...scale,
    ends: { light: 99, dark: 15 },
    materials: { ...scale.materials, paints: ['zinc-white', 'mars-black'] },
  }) as Recipe;
  expect(sayBeyond(zinc, labels)).toMatch(/^These paints don’t reach steps 9, 1: they go from L\* 9\d to 2\d/);
});

test('a nudge says how far off, what to add, and when to use it elsewhere', () => {
  expect(sayNudge(at(60.3), names)).toBe('Right for 5: leave it.');
  // So little black can't be measured: a part of the next darker puddle can.
  expect(sayNudge(at(64), { ...names, labels })).toMatch(
    /^4 L\* too light for 5: one part of 4 to [\d.]+ of the puddle, then look\.$/,
  );
  expect(sayNudge(at(36, 8), { ...names, step: '8' })).toMatch(
    /^3 L\* too light for 8: ivory black, one part to [\d.]+ of the puddle, then look\.$/,
  );
  expect(sayNudge(at(50), names)).toMatch(
    /^10 L\* too dark for 5: titanium white, (one part to [\d.]+|[\d.]+ parts to one) of the puddle, then look\.$/,
  );
  expect(sayNudge(at(69, 5), { ...names, other: '4' })).toMatch(/ Or use it for 4 as it is\.$/);
  expect(sayNudge({ add: 'dark', instead: null, toParts: null, off: 5, useFor: null, reachable: false }, names)).toBe(
    '5 L* too light for 5: these paints don’t get there.',
  );
  expect(
    sayNudge({ add: 'dark', instead: null, toParts: 900, off: 2, useFor: null, reachable: true }, names),
  ).toContain('ivory black, a touch, then look');
});

test('following a nudge lands on the step', () => {
  fc.assert(
    fc.property(fc.integer({ min: 2, max: 8 }), fc.double({ min: 26, max: 95, noNaN: true }), (step, had) => {
      const told = at(had, step);
      if (told.add === null || told.toParts === null) return;
      const share = shareOf(had);
      const after =
        told.add === 'dark'
          ? (share * told.toParts + 1) / (told.toParts + 1)
          : (share * told.toParts) / (told.toParts + 1);
      const wanted = shareOf(recipe.steps[step - 1]?.target ?? 0);
      expect(after).toBeCloseTo(wanted, 6);
      if (!told.instead) return;
      const { step: other, toParts } = told.instead;
      expect((share * toParts + shareOf(recipe.steps[other - 1]?.target ?? 0)) / (toParts + 1)).toBeCloseTo(wanted, 6);
    }),
  );
});

/** Share of black that dries to a lightness, found by halving, apart from what is tested. */
function shareOf(lightness: number): number {
  let [low, high] = [0, 1];
  for (let i = 0; i < 60; i++) {
    const middle = (low + high) / 2;
    const mixed = nudgeLightness(middle);
    if (mixed > lightness) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}
const nudgeLightness = (share: number): number => greyAt({ 'titanium-white': 1 - share, 'ivory-black': share });
const greyAt = (parts: Record<string, number>): number => {
  const model = mixModel(palette, parts);
  const q = [0, 1, 2].map((c) => (model.absorption[c] ?? 0) / (model.scattering[c] ?? 1));
  const seen = q
    .map((k) => 1 / (1 + k + Math.sqrt(k * k + 2 * k)))
    .map((r) => 0.026 + (0.94 * 0.7 * r) / (1 - 0.3 * r));
  const y = 0.21264 * (seen[0] ?? 0) + 0.71517 * (seen[1] ?? 0) + 0.07219 * (seen[2] ?? 0);
  return 116 * Math.cbrt(y) - 16;
};

test('the order of work follows the recipe, and without one the school', () => {
  const order = recipeLines(recipe, labels).map((l) => l.name);
  expect(workLines(scale, labels, order)[0]).toBe(
    `Mix in this order, each from what is there already: ${order.join(', ')}.`,
  );
  expect(workLines(scale, labels)[0]).toMatch(/^Ends first: 9 and 1/);
  expect(workLines({ ...scale, workOrder: 'dark-to-light' }, labels, order)[1]).toBe(
    'Paint in this order: 1, 2, 3, 4, 5, 6, 7, 8, 9.',
  );
});

test('the page of mixes has a grey, a name and a mix on each line, and none for two tones', () => {
  const words: ExerciseWords = sampleWords({ title: 'Nine greys', labels });
  const page = drawRecipePage(scale, words);
  expect(page?.marks.filter((m) => m.kind === 'fill')).toHaveLength(9);
  const codes = page?.marks.flatMap((m) => (m.kind === 'fill' && typeof m.code === 'number' ? [m.code] : [])) ?? [];
  expect(Math.max(...codes)).toBeGreaterThan(240);
  expect(Math.min(...codes)).toBeLessThan(65);
  for (const m of page?.marks ?? []) if (m.kind === 'text') expect(m.yMm).toBeLessThan(page?.heightMm ?? 0);
  expect(drawRecipePage(defaultTerms('notan'), words)).toBeNull();
  const long = drawRecipePage(
    { ...scale, steps: 15 },
    { ...words, labels: stepLabels('white-is-one', { ...scale, steps: 15 }) },
  );
  expect(Math.max(...(long?.marks.flatMap((m) => (m.kind === 'text' ? [m.yMm] : [])) ?? [999]))).toBeLessThan(280);
});

test('the greys of a palette run from its white to its black, or are its tubes', () => {
  const set = greySet(['titanium-white', 'burnt-umber', 'ivory-black'], {}, 'gouache');
  expect(set).toHaveLength(9);
  expect(set[0]).toEqual({ 'titanium-white': 1, 'ivory-black': 0 });
  expect(set.map((p) => p['ivory-black'] ?? 0)).toEqual(
    [...set.map((p) => p['ivory-black'] ?? 0)].sort((a, b) => a - b),
  );
  expect(greySet(['ultramarine', 'burnt-umber'], {}, 'gouache')).toEqual([{ ultramarine: 1 }, { 'burnt-umber': 1 }]);
  expect(greySet(['titanium-white', 'zinc-white'], {}, 'gouache')).toHaveLength(2);
  expect(greyEnds(['titanium-white', 'burnt-umber'])).toEqual({ light: 'titanium-white', dark: 'burnt-umber' });
});
