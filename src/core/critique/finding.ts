/** One thing said about a hand-in, with what it rests on. Drafted whenever it is wanted; kept only in a letter that was sent. */
import { z } from 'zod';
import { shareBoxSchema } from '../geometry/share-box';

/** What works, and what is to be mended. */
export const FINDING_KINDS = ['works', 'fix'] as const;
export type FindingKind = (typeof FINDING_KINDS)[number];

export const findingSchema = z.object({
  /** Code and subject: stays the same when the hand-in is judged or measured again, so that edits can hang on it. */
  key: z.string(),
  code: z.string(),
  kind: z.enum(FINDING_KINDS),
  /** Error beyond tolerance in steps times the square root of the area share; 0 for what works. */
  weight: z.number(),
  /** Steps, and a part of the picture (shares of it) where it is said of one, by its name if it has one. */
  where: z.object({ steps: z.array(z.number().int()), box: shareBoxSchema.optional(), shape: z.string().optional() }),
  evidence: z.record(z.string(), z.union([z.number(), z.array(z.number())])),
  say: z.string(),
  do: z.string().nullable(),
});
export type Finding = z.infer<typeof findingSchema>;

/** What is told, without its words: what it is said of, and how much it weighs. `steps` of two are the gap between them. */
export interface ToldFinding {
  readonly kind: FindingKind;
  readonly code: string;
  readonly weight: number;
  readonly steps: readonly number[];
  /** Null of what is said of no named shape. */
  readonly shape: string | null;
}

export const withoutWords = ({ kind, code, weight, where }: Finding): ToldFinding => ({
  ...{ kind, code, weight, steps: where.steps },
  shape: where.shape ?? null,
});

/** The code of what a teacher says that no rule has said. */
export const OWN_WORD = 'own_word';

/** Headline fixes shown before the rest is folded away. */
export const HEADLINES = 7;
