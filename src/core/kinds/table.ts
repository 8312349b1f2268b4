/** The table of kinds: what the rest of the program asks, in place of which kind it is. */
import { z } from 'zod';
import { type Sitting, sittingOf } from '../exercise/key';
import type { MediumId } from '../exercise/media';
import { type NumberingId, stepLabels } from '../exercise/numbering';
import { type ExerciseKind, type ExerciseTerms, isPicture, type TermsOf } from '../exercise/terms';
import { ALL_KINDS } from './all';
import type { HandInStage, Kind } from './kind';

/** A kind by what may be its id; undefined for none. */
const find = (id: string): Kind | undefined => ALL_KINDS.find((kind) => kind.id === id) as unknown as Kind | undefined;

export const KIND_IDS = ALL_KINDS.map((kind) => kind.id) as [ExerciseKind, ...ExerciseKind[]];

/**
 * A kind by its id.
 *
 * @throws RangeError for one that is not in the table.
 */
export function kindById<K extends ExerciseKind>(id: K): Kind<TermsOf<K>> {
  const kind = find(id);
  if (!kind) throw new RangeError(`There is no kind of exercise called “${id}”.`);
  return kind as unknown as Kind<TermsOf<K>>;
}

/** What the kind of some terms is. Its methods take these very terms. */
export const kindOf = (terms: ExerciseTerms): Kind => kindById(terms.kind) as unknown as Kind;

/** Terms of any kind, as they come from a form, a file or the database. */
export const exerciseTermsSchema: z.ZodType<ExerciseTerms> = z
  .object({ kind: z.string() })
  .loose()
  .transform((given, context): ExerciseTerms => {
    const kind = find(given.kind);
    if (!kind) {
      context.addIssue({ code: 'custom', path: ['kind'], message: 'There is no such kind of exercise.' });
      return z.NEVER;
    }
    const parsed = kind.terms.safeParse(given);
    if (parsed.success) return parsed.data;
    for (const { path, message } of parsed.error.issues) context.addIssue({ code: 'custom', path, message });
    return z.NEVER;
  });

/** The usual terms of a kind in a medium. */
export const defaultTerms = <K extends ExerciseKind>(kind: K, medium: MediumId = 'gouache'): TermsOf<K> =>
  kindById(kind).usual(medium);

/** The picture, or the set-up in life, that an exercise is painted from. */
export interface PaintedFrom {
  readonly referenceId: string | null;
  readonly setUpId: string | null;
}

/** Whether Fair Grey reads the hand-ins of an exercise, by its kind and what it is painted from. */
export function isMeasured(kind: ExerciseKind, { referenceId, setUpId }: PaintedFrom): boolean {
  const { measured } = kindById(kind);
  if (measured === 'with-picture') return referenceId !== null;
  return measured === 'with-reference' ? referenceId !== null || setUpId !== null : measured;
}

/** Kinds whose sheets may stand for the sheet of an exercise. */
export function kindsOnSheetOf(terms: ExerciseTerms): readonly ExerciseKind[] {
  const { sheet } = kindOf(terms);
  return KIND_IDS.filter((id) => kindById(id).sheet === sheet);
}

/** What the class calls the values of an exercise, in reading order; none where they have no numbers. */
export function labelsOf(terms: ExerciseTerms, numbering: NumberingId): string[] {
  const numbered = kindOf(terms).numbered(terms);
  return numbered ? stepLabels(numbering, numbered) : [];
}

/** Values that an exercise asks for, in reading order, L*. */
export const valuesOf = (terms: ExerciseTerms): number[] => kindOf(terms).values(terms);
export const inShort = (terms: ExerciseTerms): string => kindOf(terms).inShort(terms);
export const exerciseLayout = (terms: ExerciseTerms) => kindOf(terms).layout(terms);
/** Stages of an exercise that are handed in one after the other; none where it is handed in once. */
export const handInStagesOf = (terms: ExerciseTerms): readonly HandInStage[] =>
  kindOf(terms).handInStages?.(terms) ?? [];
export const stagesOf = (terms: ExerciseTerms) => kindOf(terms).stages(terms);
export const workLines = (
  terms: ExerciseTerms,
  labels: readonly string[],
  mixing: readonly string[] | null = null,
): string[] => kindOf(terms).work(terms, labels, mixing);

/** How the values of a picture are to sit; of what is no picture, over the full range. */
export const sittingIn = (terms: ExerciseTerms, prepared: Sitting | null): Sitting =>
  sittingOf(isPicture(terms) ? terms.judging : { key: 'full', pushPercent: 0 }, prepared);

/** A look at a hand-in by the teacher, minutes: shorter where Fair Grey has measured and drafted. */
const LOOK_MINUTES = { measured: 2, byEye: 4 } as const;
const FROM_NOTHING: PaintedFrom = { referenceId: null, setUpId: null };

export const lookMinutes = (terms: ExerciseTerms, handIns: number, from = FROM_NOTHING): number =>
  handIns * (isMeasured(terms.kind, from) ? LOOK_MINUTES.measured : LOOK_MINUTES.byEye);
export const areasOf = (terms: ExerciseTerms) => kindOf(terms).areas(terms);
export const shapeWidths = (terms: ExerciseTerms): number[] => kindOf(terms).widths(terms);
