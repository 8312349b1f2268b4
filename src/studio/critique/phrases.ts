/** Words that a teacher has used before for the same thing: offered when it is to be said again. */
import { attempts, classes, exercises, findingEdits, handIns } from '@/data/schema/tables';
import { and, desc, eq, inArray, isNotNull, or, sql } from 'drizzle-orm';
import { isTaughtBy, type Teacher } from '../access/actor';
import type { House } from '../house';

/** Offered of each at the most, the newest. */
const MOST = 4;

export interface Phrases {
  /** What is seen. */
  readonly say: readonly string[];
  /** What to do. */
  readonly action: readonly string[];
}

/** A finding's key begins with its code. */
const codeOfEdit = sql<string>`split_part(${findingEdits.key}, ' ', 1)`;

const newest = (words: readonly (string | null)[]): string[] =>
  [...new Set(words.filter((word) => word !== null))].slice(0, MOST);

/** The teacher's own words for findings of some codes, over all classes, the newest first: one query for all. */
export async function phrasesOf(
  house: House,
  teacher: Teacher,
  codes: readonly string[],
): Promise<Readonly<Record<string, Phrases>>> {
  if (codes.length === 0) return {};
  const rows = await house.db
    .select({ code: codeOfEdit, say: findingEdits.say, action: findingEdits.action })
    .from(findingEdits)
    .innerJoin(attempts, eq(findingEdits.attemptId, attempts.id))
    .innerJoin(handIns, eq(attempts.handInId, handIns.id))
    .innerJoin(exercises, eq(handIns.exerciseId, exercises.id))
    .innerJoin(classes, eq(exercises.classId, classes.id))
    .where(
      and(
        isTaughtBy(teacher),
        inArray(codeOfEdit, [...codes]),
        or(isNotNull(findingEdits.say), isNotNull(findingEdits.action)),
      ),
    )
    .orderBy(desc(attempts.seq));
  return Object.fromEntries(
    codes.flatMap((code) => {
      const own = rows.filter((row) => row.code === code);
      return own.length === 0
        ? []
        : [[code, { say: newest(own.map((row) => row.say)), action: newest(own.map((row) => row.action)) }]];
    }),
  );
}
