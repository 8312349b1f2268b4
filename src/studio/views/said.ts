/** What is said of an attempt: as it was sent, else the draft with the teacher's edits and own words. */
import type { Layer } from '@/core/correction/layer';
import { correctionFindings } from '@/core/critique/correction/findings';
import { curedSince } from '@/core/critique/cured';
import { type Finding, type FindingKind, HEADLINES, OWN_WORD } from '@/core/critique/finding';
import { type FindingEdit, type SaidItem, withEdits } from '@/core/critique/letter';
import type { Register } from '@/core/critique/voice';
import type { Why } from '@/core/critique/why';
import type { NumberingId } from '@/core/exercise/numbering';
import type { ExerciseTerms } from '@/core/exercise/terms';
import { correctedOf } from '@/core/kinds/corrected-of';
import { draftOf, whyIn } from '@/core/kinds/draft';
import type { classes, critiques, exercises, handIns, ownFindings } from '@/data/schema/tables';
import type { Measured } from './measured';

/** What says how a hand-in is judged: the exercise as it is now, how its class numbers values, and whom its letter is for. */
export interface JudgedBy {
  readonly terms: ExerciseTerms;
  readonly numbering: NumberingId;
  readonly register: Register;
}

interface JudgedIn {
  readonly exercise: Pick<typeof exercises.$inferSelect, 'terms'>;
  readonly class: Pick<typeof classes.$inferSelect, 'numbering' | 'register'>;
  readonly handIn: Pick<typeof handIns.$inferSelect, 'register'> | null;
}

export const judgedBy = ({ exercise, class: group, handIn }: JudgedIn): JudgedBy => ({
  terms: exercise.terms,
  numbering: group.numbering,
  register: handIn?.register ?? group.register,
});

/** Own words as findings, told apart by their keys. */
export const asFinding = ({ id, kind, say, action }: typeof ownFindings.$inferSelect): Finding => ({
  ...{ key: `${OWN_WORD} ${id}`, code: OWN_WORD, kind, weight: 0, where: { steps: [] }, evidence: {} },
  ...{ say, do: action === '' ? null : action },
});

/** A draft with what the teacher says besides: what works after what works, what is to be mended last of what is not folded away. */
function withOwnWords(draft: readonly Finding[], own: readonly Finding[]): Finding[] {
  const of = (all: readonly Finding[], kind: FindingKind) => all.filter((f) => f.kind === kind);
  const fixes = of(draft, 'fix');
  const shown = Math.max(0, HEADLINES - of(own, 'fix').length);
  return [
    ...of(draft, 'works'),
    ...of(own, 'works'),
    ...fixes.slice(0, shown),
    ...of(own, 'fix'),
    ...fixes.slice(shown),
  ];
}

/** What is said beside the draft of an attempt. */
interface Words {
  readonly edits: readonly FindingEdit[];
  readonly own: readonly Finding[];
  /** Layers of the correction that goes with the letter. */
  readonly corrected: readonly Layer[];
  /** What was said of the try before it; nothing where there was none. */
  readonly before: readonly SaidItem[];
}

/** What is said of an attempt: word for word as it was sent, else the draft with the teacher's edits. */
export function saidOf(
  critique: typeof critiques.$inferSelect,
  measured: Measured | null,
  { edits, own, corrected, before }: Words,
  { terms, numbering, register, handInId }: JudgedBy & { readonly handInId: string },
): readonly SaidItem[] {
  if (critique.letter) return critique.letter.items;
  // Each hand-in has its own turn of phrase, and keeps it from try to try.
  const voice = { register, seed: handInId };
  const draft = measured ? draftOf(measured.result, terms, numbering, voice) : [];
  const shown = correctionFindings(corrected, correctedOf(measured?.result ?? null, terms, numbering), voice);
  return withEdits(withOwnWords([...curedSince(before, draft, voice), ...draft], [...shown, ...own]), edits);
}

/** Why each is said. What has neither a rule nor a number, as what the teacher says by themselves, needs no reason. */
export const whysOf = ({ kind }: Measured, items: readonly SaidItem[]): Readonly<Record<string, Why>> =>
  Object.fromEntries(
    items.flatMap(({ original }) => {
      const why = whyIn(kind, original);
      return why.source === null && why.numbers.length === 0 ? [] : [[original.key, why]];
    }),
  );
