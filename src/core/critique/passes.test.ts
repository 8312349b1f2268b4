/** A long list in groups. */
import type { Finding } from './finding';
import { grouped, PASSES, passOf } from './passes';
import { allSaid } from './all-said';

const finding = (code: string, shape?: string, key = `${code} shape 1.1`): Finding => ({
  ...{ key, code, kind: 'fix', weight: 1, evidence: {}, say: 'It is.', do: null },
  where: { steps: [], ...(shape !== undefined && { shape }) },
});
const LIST = [
  finding('line_off'),
  finding('part_off', 'loaf > shadow'),
  finding('feature_moved', 'jug'),
  finding('part_off', 'jug > lit side'),
  finding('form_broken', 'jug > cast', 'form_broken shape cast_edge_hard 3.3'),
];
const titles = (by: 'pass' | 'figure') => grouped(LIST, (f) => f, by).map((g) => [g.title, g.items.length]);

test('by pass, values first', () => {
  expect(titles('pass')).toEqual([
    ['Values', 2],
    ['Drawing', 1],
    ['Edges', 1],
    ['Accents', 1],
  ]);
});

test('by figure, in the order in which each is first told', () => {
  expect(titles('figure')).toEqual([
    ['The whole picture', 1],
    ['The loaf', 1],
    ['The jug', 3],
  ]);
});

test('nothing is lost, whatever is told', () => {
  const all = [...new Set(allSaid('beginners').map((s) => s.code))].map((code) => finding(code));
  for (const by of ['pass', 'figure'] as const)
    expect(grouped(all, (f) => f, by).flatMap((g) => g.items)).toHaveLength(all.length);
  expect(new Set(all.map((f) => passOf(f))).size).toBe(PASSES.length - 1);
});
