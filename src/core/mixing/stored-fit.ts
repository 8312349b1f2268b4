/** A fit as it is kept: what the paints came to be, and what is left to doubt. */
import { z } from 'zod';
import { PAINT_IDS } from '../exercise/paints';
import { dryShiftSchema } from './dry-shift';
import { partsSchema } from './logged-mix';

export const FIT_VERSION = 1;

const paintFiguresSchema = z.object({
  massTone: z
    .tuple([
      z.number().min(0, 'Lightness (L*) is 0 to 100.').max(100, 'Lightness (L*) is 0 to 100.'),
      z.number().min(-128).max(128),
      z.number().min(-128).max(128),
    ])
    .readonly(),
  tinting: z
    .number({ error: 'Tinting strength is a number.' })
    .positive('Tinting strength is more than 0.')
    .max(100, 'Tinting strength is 100 at most.'),
});
export const figuresSchema = z.partialRecord(z.enum(PAINT_IDS), paintFiguresSchema);

export const storedFitSchema = z.object({
  version: z.literal(FIT_VERSION),
  figures: figuresSchema,
  shift: dryShiftSchema,
  /** Of each mix in the order they were logged: L* read less L* foretold. */
  before: z.array(z.number()),
  after: z.array(z.number()),
  odd: z.array(z.number().int()),
  /** Standard deviation (L*) of each step that was wanted. */
  unsure: z.array(z.number()),
  /** The mix that would teach most next. */
  ask: partsSchema.nullable(),
});
export type StoredFit = z.infer<typeof storedFitSchema>;
