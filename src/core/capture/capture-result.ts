/** What a result says of the photograph itself: how it was framed, whether it will do, how sure it is. */
import { z } from 'zod';
import { shareBoxSchema } from '../geometry/share-box';
import { GATE_CODES } from './gate';

export const captureSchema = z.object({
  target: z.enum(['sheet', 'brackets', 'corners', 'scan']).nullable(),
  mode: z.enum(['calibrated', 'relative']),
  whiteBasis: z.enum(['nominal', 'measured', 'carried', 'ends']),
  accepted: z.boolean(),
  issues: z.array(
    z.object({
      code: z.enum(GATE_CODES),
      value: z.number(),
      limit: z.number(),
      box: shareBoxSchema.nullable(),
      say: z.string(),
    }),
  ),
  /** Median half-width of the 95 % interval over the steps, L*; null when nothing was read. */
  uncertainty: z.number().nullable(),
  /** Whether a* and b* are measured by coloured patches, or assumed from greys alone; null in relative mode. */
  colour: z.enum(['measured', 'assumed']).nullable().default('assumed'),
  /** Size of a board with corner pieces, mm; null for everything else. */
  sizeMm: z.object({ width: z.number(), height: z.number(), assumed: z.boolean() }).nullable().default(null),
  /** In relative mode: whether paper showed along both long sides, so that the light could be fitted. */
  paper: z.enum(['paper', 'none', 'scan']).nullable().default(null),
  /** What the sheet's own code said; null when it could not be read. */
  tag: z.string().nullable(),
  /** Photo corners of the sheet (fractions: top-left, top-right, bottom-right, bottom-left) when it was found. */
  corners: z.array(z.object({ x: z.number(), y: z.number() })).nullable(),
});
export type Capture = z.infer<typeof captureSchema>;
