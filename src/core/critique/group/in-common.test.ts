/** What a class has in common, counted and put in words. */
import fc from 'fast-check';
import type { ToldFinding } from '../finding';
import { PAINTING_RULES } from '../painting/critique';
import { SCALE_RULES } from '../scale/critique';
import { TONES_RULES } from '../tones/critique';
import { inCommon, sayInCommon, type Told } from './in-common';
import { SHARED_WORDS, sayHowMany } from './words';

const finding = (code: string, steps: readonly number[] = [], weight = 1): ToldFinding => ({
  ...{ kind: code.startsWith('works') ? 'works' : 'fix', code, weight, steps, shape: null },
});
const told = (attemptId: string, ...findings: readonly ToldFinding[]): Told => ({ attemptId, findings });

test('every rule there is can be said of several', () => {
  const codes = [SCALE_RULES, TONES_RULES, PAINTING_RULES].flatMap((rules) => Object.keys(rules));
  expect(codes.filter((code) => !(code in SHARED_WORDS))).toEqual([]);
  for (const [code, words] of Object.entries(SHARED_WORDS))
    for (const at of ['', '3 and 4', 'the lit side of the jug']) {
      expect(`${code}: ${words(at)}`).not.toMatch(/\*|undefined|\s\s|\s$/);
      // It is the end of “nine of fourteen …”.
      expect(words(at)).toMatch(/^[a-z]+ /);
    }
});

test('nine of fourteen have 3 and 4 too close: what most have comes first, those first that show it most', () => {
  const close = (n: number) => finding('too_close', [3, 4], n);
  const class14 = Array.from({ length: 14 }, (_, i) =>
    told(`a${i}`, ...(i < 9 ? [close(i)] : []), ...(i > 9 ? [finding('streaky', [2])] : []), finding('works_order')),
  );
  const shared = inCommon(class14);
  expect(shared.map((s) => sayInCommon(s, 14, ['1', '2', '3', '4', '5']))).toEqual([
    'All 14 have every step in its order.',
    '9 of 14 have 3 and 4 too close.',
    '4 of 14 have streaks in 2.',
  ]);
  expect(shared[1]?.of.slice(0, 3)).toEqual(['a8', 'a7', 'a6']);
});

test('other steps are another thing, and what one alone has is nobody’s business', () => {
  const all = [told('a', finding('too_close', [3, 4])), told('b', finding('too_close', [4, 5]))];
  expect(inCommon(all)).toEqual([]);
});

test('names of shapes and of the class’s steps', () => {
  const at = (code: string, steps: readonly number[], shape: string | null) =>
    sayInCommon({ code, kind: 'fix', steps, shape, of: ['a', 'b', 'c'] }, 8, ['white', 'light']);
  expect(at('part_off', [], 'jug > lit side')).toBe('Three of eight have the value of the lit side of the jug off.');
  expect(at('too_close', [1, 2], null)).toBe('Three of eight have white and light too close.');
  expect(at('range_short', [], null)).toBe('Three of eight live in the middle: the range is short.');
});

test('how many of how many', () => {
  expect([sayHowMany(2, 2), sayHowMany(8, 8), sayHowMany(3, 12), sayHowMany(3, 30)]).toEqual([
    ...['both', 'all eight', 'three of twelve', '3 of 30'],
  ]);
});

test('nothing is said of more hand-ins than have it, whatever the class', () => {
  const someFinding = fc.record({
    code: fc.constantFrom('too_close', 'streaky', 'works_order'),
    steps: fc.constantFrom([1], [1, 2]),
  });
  fc.assert(
    fc.property(fc.array(fc.array(someFinding, { maxLength: 5 }), { maxLength: 20 }), (classOfAll) => {
      const all = classOfAll.map((own, i) => told(`a${i}`, ...own.map((f) => finding(f.code, f.steps))));
      for (const { code, steps, of } of inCommon(all)) {
        const having = all.filter((t) => t.findings.some((f) => f.code === code && f.steps.join() === steps.join()));
        expect([...of].sort()).toEqual(having.map((t) => t.attemptId).sort());
      }
    }),
  );
});
