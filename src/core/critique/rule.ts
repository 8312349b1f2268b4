/**
 * Rules of critique as data. A rule says what it reads, when it tells, how much that weighs and what shows it; its words
 * stand in a catalogue by its code and by register, never beside the condition.
 */
import type { ShareBox } from '../geometry/share-box';
import type { Finding } from './finding';
import { inTurn, oneWay, type Said, type Voice } from './voice';

/** What is told of. Steps and tones count from 1; a shape goes by an id of its own. */
export type Subject =
  | { readonly kind: 'picture' }
  | { readonly kind: 'steps'; readonly steps: readonly number[] }
  | { readonly kind: 'tone'; readonly tone: number }
  | { readonly kind: 'shape'; readonly id: string; readonly name?: string; readonly box?: ShareBox };

export const PICTURE: Subject = { kind: 'picture' };
export const ofSteps = (...steps: readonly number[]): Subject => ({
  kind: 'steps',
  steps: [...new Set(steps)].sort((a, b) => a - b),
});
export const ofTone = (tone: number): Subject => ({ kind: 'tone', tone });
export const ofShape = (id: string, name?: string, box?: ShareBox | null): Subject => ({
  kind: 'shape',
  id,
  ...(name !== undefined && { name }),
  ...(box && { box }),
});

/** One thing that a rule looks at, and the numbers it goes by. */
export interface Seen<F> {
  readonly subject: Subject;
  readonly facts: F;
}

export interface Rule<Code extends string, Reading, F> {
  readonly code: Code;
  readonly kind: Finding['kind'];
  /** All that it looks at, in order, whether or not there is anything to tell. */
  reads(reading: Reading): readonly Seen<F>[];
  tells(facts: F): boolean;
  /** Error beyond tolerance in steps times the square root of the area share. */
  weight(facts: F): number;
  evidence(facts: F): Finding['evidence'];
  /** Told of at the most, those that weigh most; all of them unless said. */
  readonly most?: number;
  /** Why the limit and the weight are what they are. */
  readonly source: string;
}

/** How one code is put: what is seen, and one thing to do about it. `Names` are the class's own words for its values. */
export interface Words<F, Names> {
  say(facts: F, names: Names): Said;
  do(facts: F, names: Names): Said | null;
}

/** The words of a family of rules: one entry a code. */
export type Catalogue<Facts, Names> = { readonly [Code in keyof Facts]: Words<Facts[Code], Names> };
/** Rules of a family: exactly one a code. */
export type Rules<Reading, Facts> = {
  readonly [Code in keyof Facts & string]: Rule<Code, Reading, Facts[Code]>;
};

const round2 = (v: number) => Math.round(v * 100) / 100;

function subjectKey(subject: Subject): string {
  switch (subject.kind) {
    case 'picture':
      return '';
    case 'steps':
      return subject.steps.length === 0 ? '' : ` steps ${subject.steps.join('-')}`;
    case 'tone':
      return ` tone ${subject.tone}`;
    case 'shape':
      return ` shape ${subject.id}`;
  }
}

function whereOf(subject: Subject): Finding['where'] {
  if (subject.kind === 'steps') return { steps: [...subject.steps] };
  if (subject.kind !== 'shape') return { steps: [] };
  const { name, box } = subject;
  return { steps: [], ...(box && { box }), ...(name !== undefined && { shape: name }) };
}

/** Something that a rule tells, before it is put in words. */
export interface Told<Facts, Code extends keyof Facts & string = keyof Facts & string> {
  /** Code and subject: those that would share a key are told apart by their order, " (2)", " (3)". */
  readonly key: string;
  readonly code: Code;
  readonly kind: Finding['kind'];
  readonly subject: Subject;
  readonly facts: Facts[Code];
  /** 0 of what works. */
  readonly weight: number;
}

/** How much more what is said of a subject weighs than the same of another. */
export type EmphasisOf = (subject: Subject) => number;
const ALIKE: EmphasisOf = () => 1;

function withOwnKeys<T extends { readonly key: string }>(all: readonly T[]): T[] {
  const seen = new Map<string, number>();
  return all.map((one) => {
    const count = (seen.get(one.key) ?? 0) + 1;
    seen.set(one.key, count);
    return count === 1 ? one : { ...one, key: `${one.key} (${count})` };
  });
}

/** What one rule tells, in the order in which it looks. */
function toldBy<Reading, Facts, Code extends keyof Facts & string>(
  rule: Rule<Code, Reading, Facts[Code]>,
  reading: Reading,
  emphasis: EmphasisOf,
): Told<Facts, Code>[] {
  const { code, kind } = rule;
  return withOwnKeys(
    rule
      .reads(reading)
      .filter(({ facts }) => rule.tells(facts))
      .map(({ subject, facts }) => ({
        ...{ code, kind, subject, facts },
        key: code + subjectKey(subject),
        weight: kind === 'works' ? 0 : rule.weight(facts) * emphasis(subject),
      })),
  );
}

/** All that the rules of a family tell, however much that is, in the order of the rules. */
export const allTold = <Reading, Facts>(
  rules: Rules<Reading, Facts>,
  reading: Reading,
  emphasis: EmphasisOf = ALIKE,
): Told<Facts>[] =>
  (Object.keys(rules) as (keyof Facts & string)[]).flatMap((code) =>
    toldBy<Reading, Facts, typeof code>(rules[code], reading, emphasis),
  );

const firstStep = (subject: Subject): number => (subject.kind === 'steps' ? (subject.steps[0] ?? 0) : 0);
const heaviestFirst = <T extends { readonly weight: number; readonly subject: Subject }>(told: readonly T[]): T[] =>
  [...told].sort((a, b) => b.weight - a.weight || firstStep(a.subject) - firstStep(b.subject));

/** As much of it as people are told: of every rule so many, the heaviest; what works first, then what to mend, heaviest first. */
export function chosenToTell<Reading, Facts>(
  rules: Rules<Reading, Facts>,
  told: readonly Told<Facts>[],
): Told<Facts>[] {
  const most = (code: keyof Facts & string) => rules[code].most ?? Infinity;
  const fixes = heaviestFirst(told.filter((t) => t.kind === 'fix'));
  const place = new Map<string, number>();
  const kept = fixes.filter(({ code }) => {
    const before = place.get(code) ?? 0;
    place.set(code, before + 1);
    return before < most(code);
  });
  return [...told.filter((t) => t.kind === 'works'), ...kept];
}

/** A family of rules with its words for somebody. */
export interface Spoken<Reading, Facts, Names> {
  readonly rules: Rules<Reading, Facts>;
  readonly words: Catalogue<Facts, Names>;
  readonly names: Names;
  readonly voice: Voice;
}

/** A finding of what is told: its numbers, and the words for it; `turn` is how many of its code were told before it. */
export function findingOf<Reading, Facts, Names>(
  { rules, words, names, voice }: Spoken<Reading, Facts, Names>,
  { key, code, kind, subject, facts, weight }: Told<Facts>,
  turn: number,
): Finding {
  const advice = words[code].do(facts, names);
  return {
    ...{ key, code, kind },
    weight: round2(weight),
    where: whereOf(subject),
    evidence: rules[code].evidence(facts),
    say: oneWay(words[code].say(facts, names), voice, code, turn),
    do: advice && oneWay(advice, voice, `${code} do`, turn),
  };
}

/**
 * What a family's rules have to tell: what works in the order of the rules, then what to mend, heaviest first, ties by step.
 * The same reading always gets the same draft.
 */
export const drafted = <Reading, Facts, Names>(spoken: Spoken<Reading, Facts, Names>, reading: Reading): Finding[] =>
  inTurn(chosenToTell(spoken.rules, allTold(spoken.rules, reading)), (t) => t.code).map(({ one, turn }) =>
    findingOf(spoken, one, turn),
  );
