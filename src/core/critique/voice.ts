/** How a hand-in is spoken of: to whom, and in which of several ways that mean the same. */
import { z } from 'zod';

/** Whom the words are for: children, adults and young people who begin, and those who have painted for long. */
export const REGISTERS = ['children', 'beginners', 'advanced'] as const;
export const registerSchema = z.enum(REGISTERS);
export type Register = (typeof REGISTERS)[number];

export interface Voice {
  readonly register: Register;
  /** Of the hand-in: not everybody is told the same sentence. The first way of each where it is empty. */
  readonly seed: string;
}

export const PLAIN_VOICE: Voice = { register: 'beginners', seed: '' };

/** One sentence, or several that mean the same. */
export type Said = string | readonly [string, ...string[]];

/** FNV-1a of 32 bits (Fowler, Noll and Vo): the same words always get the same number. */
function numberOf(words: string): number {
  let hash = 0x811c9dc5;
  for (let i = 0; i < words.length; i++) hash = Math.imul(hash ^ words.charCodeAt(i), 0x01000193);
  return hash >>> 0;
}

/**
 * The way in which a hand-in is told a thing: always the same one. Where it is told several of the kind, each by its `turn`, the ways
 * follow one another, so that no letter begins every sentence alike.
 */
export function oneWay(said: Said, { seed }: Voice, kind: string, turn = 0): string {
  if (typeof said === 'string') return said;
  const begin = seed === '' ? 0 : numberOf(`${seed} ${kind}`);
  return said[(begin + turn) % said.length] ?? said[0];
}

/** Things with their turns: how many of the same kind come before each. */
export function inTurn<T>(all: readonly T[], kindOf: (one: T) => string): { readonly one: T; readonly turn: number }[] {
  const before = new Map<string, number>();
  return all.map((one) => {
    const turn = before.get(kindOf(one)) ?? 0;
    before.set(kindOf(one), turn + 1);
    return { one, turn };
  });
}
