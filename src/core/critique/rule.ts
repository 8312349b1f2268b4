/**
 * Rules of critique as data. A rule says what it reads, when it tells, how much that weighs and what shows it; its words
 * stand in a catalogue by its code and by register, never beside the condition.
 */
import type { ShareBox } from '../geometry/share-box';
import type { Finding } from './finding';

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
  /** Why the limit and the weight are what they are. */
  readonly source: string;
}

/** How people are spoken to. One so far: adults and young people of an evening studio. */
export const REGISTERS = ['studio'] as const;
export type Register = (typeof REGISTERS)[number];

/** How one code is put: what is seen, and one thing to do about it. `Names` are the class's own words for its values. */
export interface Words<F, Names> {
  say(facts: F, names: Names): string;
  do(facts: F, names: Names): string | null;
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

/** Two that would share a key are told apart by their order: " (2)", " (3)". */
function withOwnKeys(findings: readonly Finding[]): Finding[] {
  const seen = new Map<string, number>();
  return findings.map((finding) => {
    const count = (seen.get(finding.key) ?? 0) + 1;
    seen.set(finding.key, count);
    return count === 1 ? finding : { ...finding, key: `${finding.key} (${count})` };
  });
}

/** The findings of one rule, in the order in which it looks. */
function told<Code extends string, Reading, F, Names>(
  rule: Rule<Code, Reading, F>,
  words: Words<F, Names>,
  reading: Reading,
  names: Names,
): Finding[] {
  return rule
    .reads(reading)
    .filter(({ facts }) => rule.tells(facts))
    .map(({ subject, facts }) => ({
      key: rule.code + subjectKey(subject),
      code: rule.code,
      kind: rule.kind,
      weight: rule.kind === 'works' ? 0 : round2(rule.weight(facts)),
      where: whereOf(subject),
      evidence: rule.evidence(facts),
      say: words.say(facts, names),
      do: words.do(facts, names),
    }));
}

/**
 * What a family's rules have to tell: what works in the order of the rules, then what to mend, heaviest first, ties by step.
 * The same reading always gets the same draft.
 */
export function drafted<Reading, Facts, Names>(
  rules: Rules<Reading, Facts>,
  words: Catalogue<Facts, Names>,
  reading: Reading,
  names: Names,
): Finding[] {
  const all = (Object.keys(rules) as (keyof Facts & string)[]).flatMap((code) =>
    told(rules[code], words[code], reading, names),
  );
  const fixes = all
    .filter((f) => f.kind === 'fix')
    .sort((a, b) => b.weight - a.weight || (a.where.steps[0] ?? 0) - (b.where.steps[0] ?? 0));
  return withOwnKeys([...all.filter((f) => f.kind === 'works'), ...fixes]);
}
