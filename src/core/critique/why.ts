/** Why a finding is said: the numbers that it rests on, in words, and where its limit and its weight are from. */
import { OF_ACTIONS, OTHERWISE, UNITS, USUALLY } from './evidence-words';
import type { Finding } from './finding';
import type { Rule } from './rule';

export interface Why {
  /** As they are read: what each is, and how much. */
  readonly numbers: readonly { readonly label: string; readonly value: string }[];
  /** Of what is to be mended, how much it weighs beside the rest; null of what works. */
  readonly weight: number | null;
  /** Null where its rule is no more. */
  readonly source: string | null;
}

/** Rules by their codes, of any family. */
export type Sources = Readonly<Record<string, Pick<Rule<string, never, never>, 'source'>>>;

/** At most two places after the point, and none that says nothing. */
const sayNumber = (value: number): string => String(Math.round(value * 100) / 100).replace('-', '\u2212');

/** What stands behind a finding. A number that nobody named is left out rather than shown by its field. */
export function whyOf({ code, kind, weight, evidence }: Finding, rules: Sources): Why {
  const numbers = Object.entries(evidence).flatMap(([key, value]) => {
    const called = OTHERWISE[code]?.[key] ?? USUALLY[key] ?? OF_ACTIONS[key];
    if (!called) return [];
    const [label, unit] = called;
    const said = [value].flat().map(sayNumber).join(', ');
    return said === '' ? [] : [{ label, value: `${said} ${UNITS[unit]}`.trim() }];
  });
  return { numbers, weight: kind === 'fix' ? weight : null, source: rules[code]?.source ?? null };
}
