/** Where a student stands with the date of an exercise. */

/** What the teacher allows one student. */
export interface Allowance {
  /** Until when they have time; null as everybody. */
  readonly dueAt: Date | null;
  readonly excused: boolean;
  /** Why; often empty. */
  readonly word: string;
}

export type DateKind = 'excused' | 'no-date' | 'to-come' | 'in-time' | 'late' | 'missing';

export interface DateStanding {
  readonly kind: DateKind;
  /** The date that counts for them. */
  readonly dueAt: Date | null;
  /** By how much it came late, or is missing already, ms; 0 otherwise. */
  readonly lateMs: number;
}

/**
 * Where a student stands.
 *
 * @param dueAt - the last moment for everybody; null where there is none.
 * @param allowance - what this one is allowed; null of most.
 * @param cameAt - when the first picture that counts came; null while none did.
 */
export function dateStanding(
  dueAt: Date | null,
  allowance: Allowance | null,
  cameAt: Date | null,
  now: Date,
): DateStanding {
  const due = allowance?.dueAt ?? dueAt;
  // Who was excused and handed in all the same was in time.
  if (allowance?.excused) return { kind: cameAt ? 'in-time' : 'excused', dueAt: due, lateMs: 0 };
  if (!due) return { kind: 'no-date', dueAt: null, lateMs: 0 };
  const lateMs = Math.max(0, (cameAt ?? now).getTime() - due.getTime());
  if (cameAt) return { kind: lateMs > 0 ? 'late' : 'in-time', dueAt: due, lateMs };
  return { kind: lateMs > 0 ? 'missing' : 'to-come', dueAt: due, lateMs };
}

const HOUR_MS = 3_600_000;
const DAY_MS = 24 * HOUR_MS;
const some = (n: number, what: string) => `${n} ${what}${n === 1 ? '' : 's'}`;

/** How late something is, as it is said: less than a day in hours, then in days. */
export function sayLate(ms: number): string {
  if (ms < HOUR_MS) return 'less than an hour';
  return ms < DAY_MS ? some(Math.floor(ms / HOUR_MS), 'hour') : some(Math.floor(ms / DAY_MS), 'day');
}
