/** Stored measurements, told apart by what was painted. An unknown version is told, not guessed at. */
import { notanResultSchema } from '@/core/notan/result';
import { scaleResultSchema } from '@/core/scale/result';
import { z } from 'zod';

export const measuredResultSchema = z.discriminatedUnion('kind', [scaleResultSchema, notanResultSchema]);
export type MeasuredResult = z.infer<typeof measuredResultSchema>;
