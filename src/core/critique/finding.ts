/** One thing said about a hand-in, with what it rests on. */
import { z } from 'zod';

export const findingSchema = z.object({
  code: z.string(),
  kind: z.enum(['works', 'fix']),
  /** Error beyond tolerance in steps times the square root of the area share; 0 for what works. */
  weight: z.number(),
  /** Steps, and a part of the picture (shares of it) where it is said of one, by its name if it has one. */
  where: z.object({
    steps: z.array(z.number().int()),
    box: z.object({ x: z.number(), y: z.number(), width: z.number(), height: z.number() }).optional(),
    shape: z.string().optional(),
  }),
  evidence: z.record(z.string(), z.union([z.number(), z.array(z.number())])),
  say: z.string(),
  do: z.string().nullable(),
});
export type Finding = z.infer<typeof findingSchema>;
