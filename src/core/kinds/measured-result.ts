/** What was measured of a hand-in, told apart by what was read. An unknown version is told, not guessed at. */
import { z } from 'zod';
import { notanResultSchema } from '../notan/result';
import { paintingResultSchema } from '../painting/result';
import { scaleResultSchema } from '../scale/result';

export const measuredResultSchema = z.discriminatedUnion('kind', [
  scaleResultSchema,
  notanResultSchema,
  paintingResultSchema,
]);
export type MeasuredResult = z.infer<typeof measuredResultSchema>;
export type MeasuredKind = MeasuredResult['kind'];
