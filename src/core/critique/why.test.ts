/** Why a finding is said: every number of every rule has a name, and every rule says where its limit is from. */
import { CORRECTION_RULES } from './correction/findings';
import { OTHERWISE, USUALLY } from './evidence-words';
import type { Finding } from './finding';
import { PAINTING_RULES } from './painting/critique';
import { SCALE_RULES } from './scale/critique';
import { TONES_RULES } from './tones/critique';
import { whyOf } from './why';

const ALL = { ...SCALE_RULES, ...TONES_RULES, ...PAINTING_RULES, ...CORRECTION_RULES } as unknown as Record<
  string,
  { readonly evidence: (facts: unknown) => Finding['evidence']; readonly source: string }
>;

/** Stands for any facts: each of its fields is there, counts as 1, and holds one thing where it is a list. */
const anything = (): unknown =>
  new Proxy(() => undefined, {
    get: (_, field) => {
      if (field === Symbol.toPrimitive) return () => 1;
      if (field === Symbol.iterator) return [1][Symbol.iterator].bind([1]);
      if (field === 'map' || field === 'flatMap') return () => [1];
      return anything();
    },
  });

const finding = (more: Partial<Finding>): Finding => ({
  key: 'k',
  code: 'part_off',
  kind: 'fix',
  weight: 0.35,
  where: { steps: [] },
  evidence: {},
  say: '',
  do: null,
  ...more,
});

test.each(Object.entries(ALL))(
  '%s: each of its numbers is called something, and it says what it is judged by',
  (code, rule) => {
    const evidence = rule.evidence(anything());
    const why = whyOf(finding({ code, evidence }), ALL as never);
    expect(why.numbers).toHaveLength(Object.keys(evidence).length);
    expect(new Set(why.numbers.map((n) => n.label)).size).toBe(why.numbers.length);
    expect(why.source).toBe(rule.source);
    expect(why.source?.length).toBeGreaterThan(15);
  },
);

test('no name stands for a number that no rule has', () => {
  const had = new Map(Object.entries(ALL).map(([code, rule]) => [code, Object.keys(rule.evidence(anything()))]));
  const all = new Set([...had.values()].flat());
  expect(Object.keys(USUALLY).filter((key) => !all.has(key))).toEqual([]);
  for (const [code, calls] of Object.entries(OTHERWISE))
    expect([code, Object.keys(calls).filter((key) => !had.get(code)?.includes(key))]).toEqual([code, []]);
});

test('numbers are read as they are said, and what works weighs nothing', () => {
  const evidence = { steps: -1.2345, lightness: 41, area: 0.1 };
  expect(whyOf(finding({ evidence }), PAINTING_RULES as never)).toMatchObject({
    weight: 0.35,
    numbers: [
      { label: 'off by (below 0: too dark)', value: '−1.23 steps' },
      { label: 'lighter than its target (below 0: darker)', value: '41 L*' },
      { label: 'how much of the picture', value: '0.1' },
    ],
  });
  const works = finding({ code: 'works_even', kind: 'works', weight: 0, evidence: { gaps: [9.5, 10] } });
  expect(whyOf(works, SCALE_RULES as never)).toMatchObject({ weight: null, numbers: [{ value: '9.5, 10 L*' }] });
});

test('what doing it takes away is told too', () => {
  const why = whyOf(finding({ evidence: { steps: 1, removes: 0.26, repaint: 0.06 } }), PAINTING_RULES as never);
  expect(why.numbers.map((n) => n.value)).toEqual(['1 steps', '0.26', '0.06']);
});

test('a finding of a rule that is no more still shows its numbers', () => {
  const why = whyOf(finding({ code: 'long_gone', evidence: { spread: 3, unheard: 1 } }), {});
  expect(why).toEqual({ numbers: [{ label: 'uneven by', value: '3 L*' }], weight: 0.35, source: null });
});
