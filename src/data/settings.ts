/** Where things are kept and how much room must stay free, from the environment. */
import path from 'node:path';
import { z } from 'zod';

const environment = z.object({
  FAIR_GREY_DATA: z.string().min(1).default('./data'),
  FAIR_GREY_MIN_FREE: z.coerce
    .number()
    .int()
    .min(0)
    .default(500 * 1024 * 1024),
  FAIR_GREY_DEMO: z.enum(['0', '1']).default('0'),
});

export interface Settings {
  readonly folder: string;
  /** Bytes. */
  readonly minFree: number;
  readonly demo: boolean;
}

export function readSettings(env: Record<string, string | undefined> = process.env): Settings {
  const e = environment.parse(env);
  return {
    folder: path.resolve(/*turbopackIgnore: true*/ e.FAIR_GREY_DATA),
    minFree: e.FAIR_GREY_MIN_FREE,
    demo: e.FAIR_GREY_DEMO === '1',
  };
}
