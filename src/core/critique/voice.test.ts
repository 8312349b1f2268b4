/** One of several ways to say a thing, always the same one for a hand-in. */
import { inTurn, oneWay, PLAIN_VOICE } from './voice';

const WAYS = ['One.', 'Two.', 'Three.'] as const;

test('a hand-in keeps its way, and hand-ins differ', () => {
  const voices = Array.from({ length: 60 }, (_, k) => ({ ...PLAIN_VOICE, seed: `hand-in ${k}` }));
  const said = voices.map((voice) => oneWay(WAYS, voice, 'works_even'));
  expect(voices.map((voice) => oneWay(WAYS, voice, 'works_even'))).toEqual(said);
  for (const way of WAYS) expect(said.filter((s) => s === way).length).toBeGreaterThan(8);
});

test('several of a kind are told in one way after the other', () => {
  const said = inTurn(['a', 'b', 'a', 'a'], (one) => one).map(({ one, turn }) =>
    oneWay(WAYS, { ...PLAIN_VOICE, seed: 'x' }, one, turn),
  );
  expect(new Set([said[0], said[2], said[3]]).size).toBe(3);
});

test('what can be said in one way is said in it, and without a seed the first one is said', () => {
  expect(oneWay('Only.', { ...PLAIN_VOICE, seed: 'x' }, 'k')).toBe('Only.');
  expect(oneWay(WAYS, PLAIN_VOICE, 'k')).toBe('One.');
});
