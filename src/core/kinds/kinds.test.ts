import { brushesFor } from '../exercise/brushes';
import { defaultScale } from '../exercise/scale';
import { ALL_KINDS } from './all';
import { defaultTerms, exerciseTermsSchema, inShort, KIND_IDS, kindById, valuesOf, workLines } from './table';

const labels = Array.from({ length: 15 }, (_, i) => String(i + 1));

test('every kind of the table is offered, once', () => {
  expect(KIND_IDS).toEqual(ALL_KINDS.map((kind) => kind.id));
  expect(new Set(KIND_IDS).size).toBe(KIND_IDS.length);
});

test.each(KIND_IDS)('%s: its usual terms are whole, and survive being stored', (kind) => {
  const terms = defaultTerms(kind);
  expect(exerciseTermsSchema.parse(JSON.parse(JSON.stringify(terms)))).toEqual(terms);
  expect(kindById(kind).task.length).toBeGreaterThan(20);
  expect(inShort(terms)).toContain('gouache');
  const values = valuesOf(terms);
  expect(values.length).toBeGreaterThanOrEqual(2);
  expect(values[0]).toBeGreaterThan(values.at(-1) ?? 100);
});

test.each(KIND_IDS)('%s: its work ends with the photograph', (kind) => {
  const lines = workLines(defaultTerms(kind), labels);
  expect(lines.length).toBeGreaterThanOrEqual(3);
  expect(lines.at(-1)).toMatch(/photograph/);
});

test('a scale stored before there were kinds and materials still opens', () => {
  const { materials, ...old } = defaultScale('oil', 7);
  expect(materials.thinner).toBe('none');
  expect(exerciseTermsSchema.parse(old)).toMatchObject({ kind: 'scale', steps: 7, materials: { thinner: 'none' } });
});

test('bands stored before they could be drawn by hand are printed ones', () => {
  const { outlines, ...old } = defaultTerms('bands');
  expect(outlines).toBe('printed');
  expect(exerciseTermsSchema.parse(old)).toMatchObject({ kind: 'bands', outlines: 'printed' });
});

test('bands drawn by hand: the work says how, and nothing of lines or numbers that are not there', () => {
  const lines = workLines({ ...defaultTerms('bands'), outlines: 'own' }, labels);
  expect(lines.join(' ')).toContain('Draw your own rings round the small cross');
  expect(lines.join(' ')).not.toMatch(/faint lines|each number is its band/);
});

test('what does not go together is told in words', () => {
  const said = (terms: unknown) => exerciseTermsSchema.safeParse(terms).error?.issues[0]?.message;
  expect(said({ ...defaultTerms('notan'), tones: 13 })).toBe('A study in flat tones has 2 to 12 of them.');
  expect(said({ ...defaultTerms('bands'), brushMm: -1 })).toBe('A brush is 2 to 20 mm wide.');
  expect(said({ ...defaultTerms('quick-studies'), goals: [] })).toBe('Set at least one study.');
  expect(said({ ...defaultTerms('limited-palette'), paints: ['only one'] })).toBe(
    'A series needs at least two paints.',
  );
  expect(said({ ...defaultTerms('monochrome-scale'), hue: ' ' })).toMatch(/Name the colour/);
  expect(said({ ...defaultTerms('bands'), steps: 99 })).toMatch(/3 to 15 steps/);
});

test('the schools on which studios differ are printed as they were chosen', () => {
  const bands = defaultTerms('bands');
  const at = (nearest: 'first' | 'last') =>
    workLines({ ...bands, nearest }, labels).findIndex((l) => l.includes(`silhouettes ${nearest}`));
  expect(at('first')).toBe(1);
  expect(at('last')).toBeGreaterThan(1);
  expect(workLines({ ...defaultTerms('notan'), school: 'threshold' }, labels)[0]).toMatch(/darker than the line/);
  expect(workLines({ ...defaultTerms('monochrome-scale'), pureAt: 'middle-step' }, labels)[0]).toMatch(
    /on the middle step/,
  );
  const copy = defaultTerms('master-copy');
  expect(workLines({ ...copy, judging: { ...copy.judging, ground: 'for-the-shadow' } }, labels).join(' ')).toMatch(
    /may stand for the shadow/,
  );
  expect(workLines({ ...defaultTerms('monochrome-painting'), way: 'staged', glaze: true }, labels).join(' ')).toMatch(
    /glaze thinly/,
  );
});

test('brushes run from large to small and fit what they fill', () => {
  expect(brushesFor([18, 18, 40, 7])).toEqual([20, 8, 4]);
  expect(brushesFor([3])).toEqual([4]);
});
