/**
 * How hard the words of each register are to read: the grade level of J. P. Kincaid, R. P. Fishburne, R. L. Rogers and B. S. Chissom,
 * "Derivation of New Readability Formulas for Navy Enlisted Personnel" (1975), over all sentences that can be said.
 */
import { allSaid } from '@/core/critique/all-said';
import { REGISTERS, type Register } from '@/core/critique/voice';
import { fleschKincaid } from 'flesch-kincaid';
import { syllable } from 'syllable';
import { quantile, row } from './tally';

/** At most this grade over all sentences, and for one of them (a short sentence with one long word is hard only by the formula). */
export const GRADES: Record<Register, { readonly all: number; readonly one: number }> = {
  // Second grade: seven to eight years.
  children: { all: 2, one: 6 },
  beginners: { all: 5, one: 11 },
  advanced: { all: 6, one: 12 },
};

type Counts = { readonly sentence: number; readonly word: number; readonly syllable: number };

function countsOf(text: string): Counts {
  const words = text.split(/\s+/).filter((word) => /[a-z0-9]/i.test(word));
  const sentences = text.split(/[.!?](?:\s|$)/).filter((s) => s.trim() !== '').length;
  return { sentence: sentences, word: words.length, syllable: words.reduce((s, w) => s + Math.max(1, syllable(w)), 0) };
}

export interface Readability {
  readonly sentences: number;
  readonly all: number;
  readonly middle: number;
  /** The hardest of them. */
  readonly hardest: { readonly text: string; readonly grade: number };
}

export function readabilityOf(register: Register): Readability {
  const texts = [...new Set(allSaid(register).map((s) => s.text))];
  const counts = texts.map(countsOf);
  const sum = (of: keyof Counts) => counts.reduce((s, c) => s + c[of], 0);
  const grades = counts.map((c) => fleschKincaid(c));
  const worst = grades.reduce((k, grade, i) => (grade > (grades[k] ?? -Infinity) ? i : k), 0);
  return {
    sentences: texts.length,
    all: fleschKincaid({ sentence: sum('sentence'), word: sum('word'), syllable: sum('syllable') }),
    middle: quantile(grades, 0.5),
    hardest: { text: texts[worst] ?? '', grade: grades[worst] ?? NaN },
  };
}

/** Returns whether every register stays below its grade. */
export function benchReadability(): boolean {
  console.log('\nHow hard the words are to read, grade level');
  row('', 'sentences', 'all', 'middle', 'hardest');
  return REGISTERS.map((register) => {
    const { sentences, all, middle, hardest } = readabilityOf(register);
    row(register, sentences, all, middle, hardest.grade);
    console.log(`    hardest: ${hardest.text}`);
    return all <= GRADES[register].all && hardest.grade <= GRADES[register].one;
  }).every(Boolean);
}
