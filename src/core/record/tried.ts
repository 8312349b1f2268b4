/** What the record is made of: every try that counts, with its figures. */
import type { Verdict } from '../critique/verdict';
import type { Figures } from '../kinds/figures';

export interface Tried {
  readonly studentId: string;
  readonly exerciseId: string;
  /** From 1. */
  readonly number: number;
  readonly verdict: Verdict | null;
  readonly figures: Figures;
}

/** Exercises in the order in which they were set, and students by number. */
export interface Titled {
  readonly id: string;
  readonly title: string;
}
export interface Named {
  readonly id: string;
  readonly name: string;
}

/** Figures that a course is followed by: those that are kept, and the range between darkest and lightest, L*. */
export type CourseKey = keyof Figures | 'range';

/** A figure as it is followed; null where it is not known. */
export function valueOf(key: CourseKey, figures: Figures): number | null {
  if (key !== 'range') return figures[key];
  const { lightest, darkest } = figures;
  return lightest === null || darkest === null ? null : lightest - darkest;
}

/** The mean of what is known; null of nothing. */
export function meanOf(values: readonly (number | null)[]): number | null {
  const known = values.filter((v) => v !== null);
  return known.length === 0 ? null : known.reduce((sum, v) => sum + v, 0) / known.length;
}

/** The first and the last try of each student at each exercise. */
export function firstAndLast(tried: readonly Tried[]): { readonly first: Tried; readonly last: Tried }[] {
  const found = new Map<string, { first: Tried; last: Tried }>();
  for (const one of tried) {
    const key = `${one.studentId} ${one.exerciseId}`;
    const { first, last } = found.get(key) ?? { first: one, last: one };
    found.set(key, {
      first: one.number < first.number ? one : first,
      last: one.number > last.number ? one : last,
    });
  }
  return [...found.values()];
}
