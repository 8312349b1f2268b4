import fc from 'fast-check';
import { type Criterion, gradeOf, gradeWords, MOST_CRITERIA, schemeSchema, totalOf } from './scheme';

const points = (id: string, most = 10): Criterion => ({ id, name: id, figure: null, by: { kind: 'points', most } });
const scheme = (criteria: readonly unknown[]) => schemeSchema.safeParse({ version: 1, shown: false, criteria });

test('a scheme has some criteria, each under a key of its own and with steps that are told apart', () => {
  expect(scheme([points('a'), points('b')]).success).toBe(true);
  const level = { name: 'secure', words: '', points: null };
  const wrong = [
    [],
    [points('a'), points('a')],
    [{ ...points('a'), name: ' ' }],
    [points('a', 0)],
    [{ ...points('a'), figure: 'beauty' }],
    [{ ...points('a'), by: { kind: 'levels', levels: [level] } }],
    [{ ...points('a'), by: { kind: 'levels', levels: [level, level] } }],
    Array.from({ length: MOST_CRITERIA + 1 }, (_, k) => points(String(k))),
  ];
  expect(wrong.map((criteria) => scheme(criteria).success)).toEqual(wrong.map(() => false));
});

test('points are summed over grades that have some, and stay below the most of all together', () => {
  fc.assert(
    fc.property(fc.array(fc.tuple(fc.integer({ min: 1, max: 20 }), fc.integer({ min: 0, max: 20 }))), (pairs) => {
      const given = pairs.map(([most, given]) => gradeOf(points('a', most), { kind: 'points', points: given }));
      const grades = given.filter((g) => typeof g !== 'string');
      // What is too much is told and not given.
      expect(grades).toHaveLength(pairs.filter(([most, given]) => given <= most).length);
      const total = totalOf(grades);
      if (grades.length === 0) expect(total).toBeNull();
      else expect(total?.points).toBeLessThanOrEqual(total?.most ?? -1);
    }),
  );
});

test('steps without points are words alone', () => {
  const levels = ['begun', 'secure'].map((name, k) => ({ name, words: '', points: k === 0 ? null : 3 }));
  const worded: Criterion = { id: 'w', name: 'Edges', figure: null, by: { kind: 'levels', levels } };
  const [begun, secure] = levels.map(({ name }) => gradeOf(worded, { kind: 'level', level: name }));
  if (typeof begun !== 'object' || typeof secure !== 'object') throw new Error('They fit.');
  expect([gradeWords(begun), gradeWords(secure)]).toEqual(['begun', 'secure, 3 of 3']);
  expect(totalOf([begun])).toBeNull();
});
