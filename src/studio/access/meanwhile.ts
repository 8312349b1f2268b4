/**
 * Two who write the same at once. Whoever writes says which writing was seen; where another came since, nothing is written, and
 * what stands now is handed back, so that both can be looked at.
 */
import { z } from 'zod';
import { Refused } from './actor';

/** The writing that somebody saw, as it comes from a page. */
export const seenSchema = z.number().int().min(0);

/** What somebody else wrote meanwhile. */
export interface Meanwhile<T> {
  readonly theirs: T;
  /** How often it was written by now: whoever writes over it says so. */
  readonly written: number;
}

export class ChangedMeanwhile<T = unknown> extends Refused implements Meanwhile<T> {
  constructor(
    readonly theirs: T,
    readonly written: number,
  ) {
    super(
      'This was changed somewhere else while you were at it. Nothing is lost: look at both, and keep the one you want.',
    );
  }
}

/** The same, whatever the order of its fields: a database has its own. */
export function isSame(a: unknown, b: unknown): boolean {
  if (Object.is(a, b)) return true;
  if (typeof a !== 'object' || typeof b !== 'object' || a === null || b === null) return false;
  const [x, y] = [a as Record<string, unknown>, b as Record<string, unknown>];
  const keys = Object.keys(x);
  return keys.length === Object.keys(y).length && keys.every((key) => Object.hasOwn(y, key) && isSame(x[key], y[key]));
}

/**
 * Whether there is anything to write: not where it stands so already, whoever wrote it.
 *
 * @param seen - the writing that was seen; null where it does not matter what stood there.
 * @throws ChangedMeanwhile where something else stands there by now.
 */
export function isToWrite<T>(mine: T, stands: Meanwhile<T>, seen: number | null): boolean {
  if (isSame(mine, stands.theirs)) return false;
  if (seen !== null && seen !== stands.written) throw new ChangedMeanwhile(stands.theirs, stands.written);
  return true;
}
