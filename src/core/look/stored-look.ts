/** A look in mid-work as it is kept: the steps so far against what is wanted of them. It is never a hand-in. */
import { z } from 'zod';

/** Raised when the meaning of a stored field changes; readers refuse versions they don't know. */
export const LOOK_VERSION = 1;
/** The eye finds three places at the most before the measurement is asked. */
export const MOST_MARKS = 3;

const fraction = z.number().min(0).max(1);

export const lookMarkSchema = z.object({ x: fraction, y: fraction });
/** A place of the straightened picture, as fractions of its width and height. */
export type LookMark = z.infer<typeof lookMarkSchema>;
export const lookMarksSchema = z.array(lookMarkSchema).max(MOST_MARKS, `Mark up to ${MOST_MARKS} places.`);

const cellSchema = z.object({
  step: z.number().int().min(1),
  /** Outlines and holes (even-odd rule), in fractions of the straightened picture. */
  rings: z.array(z.array(z.tuple([z.number(), z.number()])).min(3)).min(1),
});
/** Where a step lies. */
export type LookCell = z.infer<typeof cellSchema>;

export const storedLookSchema = z.object({
  version: z.literal(LOOK_VERSION),
  /** Width over height of the straightened picture. */
  aspect: z.number().positive(),
  /** Only order and gaps are known: nothing white was in the picture. */
  relative: z.boolean(),
  /** A step may be this much (L*) off. */
  tolerance: z.number().positive(),
  /** What a step of the exercise is worth, L*. */
  stepSize: z.number().positive(),
  cells: z.array(cellSchema),
  steps: z.array(
    z.object({
      step: z.number().int().min(1),
      lightness: z.number(),
      target: z.number(),
      uncertainty: z.number(),
      painted: z.boolean(),
    }),
  ),
});
export type StoredLook = z.infer<typeof storedLookSchema>;
