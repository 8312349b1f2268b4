/** What is known of attempts, whoever looks: what was measured, what is said of it, what was decided. */
import type { Mark } from '@/core/critique/marks';
import type { SaidItem } from '@/core/critique/letter';
import type { ExerciseTerms } from '@/core/exercise/terms';
import type { Why } from '@/core/critique/why';
import { handInStagesOf } from '@/core/kinds/table';
import type { MassEdit } from '@/core/reference/set-up';
import type { Database } from '@/data/database/engine';
import type { Verdict } from '@/core/critique/verdict';
import {
  attempts,
  critiques,
  decisions,
  findingEdits,
  marks,
  ownFindings,
  replies,
  type AttemptState,
} from '@/data/schema/tables';
import { and, asc, eq, inArray, isNotNull, isNull } from 'drizzle-orm';
import type { Reads } from '../house';
import { type CorrectionView, correctionsOfAll } from './corrections';
import { type Measured, measuredOfAll } from './measured';
import { asFinding, type JudgedBy, saidOf, whysOf } from './said';

type Attempt = typeof attempts.$inferSelect;

/** Tries that count: they were measured, or the student sent them on anyway; the newest first. */
const counting = <A extends Pick<Attempt, 'state' | 'plea' | 'seq'>>(tries: readonly A[]): A[] =>
  tries
    .filter((a) => a.state === 'measured' || (a.state === 'refused' && a.plea !== null))
    .sort((a, b) => b.seq - a.seq);

/** The attempt that counts: the newest of them. */
export const currentOf = <A extends Pick<Attempt, 'state' | 'plea' | 'seq'>>(tries: readonly A[]): A | null =>
  counting(tries)[0] ?? null;

/** When the first one came that counts; null where none did. */
export const firstOf = (tries: readonly Attempt[]): Date | null => counting(tries).at(-1)?.createdAt ?? null;

export interface AttemptView {
  readonly id: string;
  readonly number: number | null;
  readonly state: AttemptState;
  /** Of what is built up in stages: the name of the one that it shows. */
  readonly stage: string | null;
  /** The same by its id. */
  readonly stageId: string | null;
  readonly plea: string | null;
  readonly trouble: string | null;
  readonly createdAt: Date;
  readonly hasPreview: boolean;
  readonly hasStrip: boolean;
  /** The exercise as it stood when this was handed in. */
  readonly terms: ExerciseTerms;
  /** Null while nothing was measured, and of kinds that a person judges by eye. */
  readonly measured: Measured | null;
  /** From life: where masses were painted on it. */
  readonly masses: readonly MassEdit[];
  readonly critique: {
    readonly word: string;
    /** How often the word was written. */
    readonly written: number;
    /** How often each finding was changed, by its key; those that never were are left out. */
    readonly changes: Readonly<Record<string, number>>;
    readonly sentAt: Date | null;
    readonly items: readonly SaidItem[];
    /** Why each is said, by its key. */
    readonly whys: Readonly<Record<string, Why>>;
  } | null;
  readonly verdict: Verdict | null;
  /** What the teacher drew on its pictures, in the order in which it was drawn. */
  readonly marks: readonly { readonly id: string; readonly mark: Mark }[];
  /** How the teacher showed what could be better, in the order in which it was begun. */
  readonly corrections: readonly CorrectionView[];
  /** What the student wrote to the letter; null where nothing. */
  readonly reply: Reply | null;
}

/** What a student wrote to a letter, and what was said to it; nothing yet where `answer` is null. */
export type Reply = Pick<typeof replies.$inferSelect, 'about' | 'text' | 'answer'>;

/** Letters that were sent for some hand-ins, in the order in which they were tried. */
const lettersOf = (house: Reads, handInIds: readonly string[]) =>
  house.db
    .select({ handInId: attempts.handInId, stage: attempts.stage, seq: attempts.seq, letter: critiques.letter })
    .from(critiques)
    .innerJoin(attempts, eq(critiques.attemptId, attempts.id))
    .where(and(inArray(attempts.handInId, [...handInIds]), isNotNull(critiques.sentAt)))
    .orderBy(asc(attempts.seq));

/** What was said of the last try of the same before this one. */
const letterBefore = (row: Attempt, letters: Awaited<ReturnType<typeof lettersOf>>) =>
  letters.findLast((l) => l.handInId === row.handInId && l.stage === row.stage && l.seq < row.seq)?.letter ?? null;

/** Attempts as they are looked at, in the order in which they came: a handful of queries for all of them. */
export async function attemptViews(house: Reads, rows: readonly Attempt[], judgedBy: JudgedBy): Promise<AttemptView[]> {
  const ids = rows.map((r) => r.id);
  if (ids.length === 0) return [];
  const measured = await measuredOfAll(house, ids);
  const said = await house.db.select().from(critiques).where(inArray(critiques.attemptId, ids));
  const edits = await house.db.select().from(findingEdits).where(inArray(findingEdits.attemptId, ids));
  const own = await house.db
    .select()
    .from(ownFindings)
    .where(inArray(ownFindings.attemptId, ids))
    .orderBy(asc(ownFindings.createdAt), asc(ownFindings.id));
  const drawn = await house.db
    .select()
    .from(marks)
    .where(inArray(marks.attemptId, ids))
    .orderBy(asc(marks.createdAt), asc(marks.id));
  const corrected = await correctionsOfAll(house, rows);
  const written = await house.db.select().from(replies).where(inArray(replies.attemptId, ids));
  const letters = await lettersOf(house, [...new Set(rows.map((r) => r.handInId))]);
  const decided = await house.db
    .select()
    .from(decisions)
    .where(and(inArray(decisions.attemptId, ids), isNull(decisions.withdrawnAt)));
  return rows
    .toSorted((a, b) => a.seq - b.seq)
    .map((row) => {
      const read = measured.get(row.id) ?? null;
      const terms = row.terms ?? judgedBy.terms;
      const critique = said.find((c) => c.attemptId === row.id);
      const ownEdits = edits.filter((e) => e.attemptId === row.id);
      const words = {
        edits: ownEdits,
        own: own.filter((o) => o.attemptId === row.id).map(asFinding),
        corrected: corrected(row.id).find((c) => c.withLetter)?.layers ?? [],
        before: letterBefore(row, letters)?.items ?? [],
      };
      const items = critique ? saidOf(critique, read, words, { ...judgedBy, terms, handInId: row.handInId }) : [];
      return {
        id: row.id,
        number: row.number,
        state: row.state,
        stage: handInStagesOf(terms).find((s) => s.id === row.stage)?.name ?? null,
        stageId: row.stage,
        plea: row.plea,
        trouble: row.trouble,
        createdAt: row.createdAt,
        hasPreview: row.previewHash !== null,
        hasStrip: row.stripHash !== null,
        terms,
        measured: read,
        masses: row.masses?.edits ?? [],
        critique: critique
          ? {
              word: critique.word,
              written: critique.written,
              changes: Object.fromEntries(ownEdits.map((e) => [e.key, e.written])),
              sentAt: critique.sentAt,
              items,
              whys: read ? whysOf(read, items) : {},
            }
          : null,
        corrections: corrected(row.id),
        marks: drawn.filter((m) => m.attemptId === row.id).map(({ id, mark }) => ({ id, mark })),
        reply: written.find((r) => r.attemptId === row.id) ?? null,
        verdict: decided.find((d) => d.attemptId === row.id)?.verdict ?? null,
      };
    });
}

/** Attempts at some hand-ins, as they were made: one query. */
export async function attemptsAt(db: Pick<Database, 'select'>, handInIds: readonly string[]): Promise<Attempt[]> {
  if (handInIds.length === 0) return [];
  return db
    .select()
    .from(attempts)
    .where(inArray(attempts.handInId, [...handInIds]))
    .orderBy(asc(attempts.seq));
}
