/** Command-line options, checked once at the edge. Bad ones end in one clear line and exit code 2. */
import { endsSchema, stepsSchema } from '@/core/exercise/scale';
import { MOST_TONES } from '@/core/tones/thresholds';
import path from 'node:path';
import { parseArgs } from 'node:util';
import { z } from 'zod';
import { type HelpedVerb, type VerbHelp, VERBS_HELP } from './help';

/** The person's mistake: `message` is the one line they see. */
export class BadArguments extends Error {
  override readonly name = 'BadArguments';
}

/** Paths are the caller's, not those of the folder the script runs in. */
export function callerPath(file: string): string {
  return path.resolve(process.env['INIT_CWD'] ?? process.cwd(), file);
}

interface Given {
  readonly values: Record<string, string | boolean | undefined>;
  readonly positionals: string[];
}

/** Options and positionals of a verb, by what its help says that it takes. */
export function readOptions(args: readonly string[], verb: HelpedVerb): Given {
  const { options }: VerbHelp = VERBS_HELP[verb];
  const types = Object.entries(options).map(([name, { value }]) => [
    name,
    { type: value === null ? ('boolean' as const) : ('string' as const) },
  ]);
  const unknown = args.map((a) => /^--([^=]+)/.exec(a)?.[1]).find((name) => name !== undefined && !(name in options));
  if (unknown !== undefined)
    throw new BadArguments(
      `${verb} knows no --${unknown}; it knows ${Object.keys(options)
        .map((name) => `--${name}`)
        .join(', ')}.`,
    );
  try {
    return parseArgs({
      args: [...args],
      allowPositionals: true,
      options: Object.fromEntries(types) as Record<string, { type: 'string' | 'boolean' }>,
    }) as Given;
  } catch (error) {
    throw new BadArguments(error instanceof Error ? (error.message.split('\n')[0] ?? '') : String(error));
  }
}

/** Parses with a schema; the first issue becomes the line that is shown. */
export function check<T>(schema: z.ZodType<T>, value: unknown, option: string): T {
  const parsed = schema.safeParse(value);
  if (parsed.success) return parsed.data;
  const first = parsed.error.issues[0];
  throw new BadArguments(`${option}: ${first?.message ?? 'not understood'}`);
}

const wholeText = z
  .string({ error: 'is needed, a whole number' })
  .regex(/^-?\d+$/, 'must be a whole number')
  .transform(Number);

export const stepsOption = wholeText.pipe(stepsSchema);
export const seedOption = wholeText.pipe(z.number().int().min(0));
export const endsOption = z
  .string()
  .regex(/^\d+(\.\d+)?,\d+(\.\d+)?$/, 'must be two lightnesses, as 96,20')
  .transform((s) => {
    const [light, dark] = s.split(',').map(Number);
    return { light: light ?? 0, dark: dark ?? 0 };
  })
  .pipe(endsSchema);
export const dpiOption = wholeText.pipe(
  z.number().min(150, 'must be 150 to 600 dpi').max(600, 'must be 150 to 600 dpi'),
);

export const tonesOption = wholeText.pipe(
  z.number().int().min(2, `must be 2 to ${MOST_TONES} tones`).max(MOST_TONES, `must be 2 to ${MOST_TONES} tones`),
);
const THRESHOLDS = 'must be lightnesses from 0 to 100 that rise, as 35,70';
export const thresholdsOption = z
  .string()
  .transform((s) =>
    s
      .trim()
      .split(/[\s,;]+/)
      .map(Number),
  )
  .refine((v) => v.every((t, i) => t >= 0 && t <= 100 && (i === 0 || t > (v[i - 1] as number))), THRESHOLDS);
const PUSH = 'must be a percentage, 0 to 50';
export const pushOption = z
  .string()
  .regex(/^\d+(\.\d+)?$/, PUSH)
  .transform(Number)
  .pipe(z.number().max(50, PUSH));
const SQUINT = 'must be a percentage of the longer side, 0 to 10';
export const squintOption = z
  .string()
  .regex(/^\d+(\.\d+)?$/, SQUINT)
  .transform(Number)
  .pipe(z.number().max(10, SQUINT));

const CORNERS =
  'must be eight numbers, photo pixels x,y of the top-left, top-right, bottom-right and bottom-left corner';
export const cornersOption = z
  .string({ error: CORNERS })
  .transform((s) =>
    s
      .trim()
      .split(/[\s,;]+/)
      .map(Number),
  )
  .refine((v) => v.length === 8 && v.every(Number.isFinite), CORNERS)
  .transform((v) => [0, 2, 4, 6].map((i) => ({ x: v[i] ?? 0, y: v[i + 1] ?? 0 })));
export const depthOption = z
  .string()
  .regex(/^\d+(\.\d+)?$/, 'must be millimetres, 0 to 100')
  .transform(Number)
  .pipe(z.number().max(100, 'must be millimetres, 0 to 100'));

export function oneOf<T extends string>(values: readonly T[], text: unknown, option: string, fallback?: T): T {
  if (text === undefined && fallback !== undefined) return fallback;
  const found = values.find((v) => v === text);
  if (found === undefined)
    throw new BadArguments(`${option} must be one of ${values.join(', ')}, got ${String(text)}.`);
  return found;
}

export function needed(value: string | boolean | undefined, option: string): string {
  if (typeof value !== 'string' || value === '') throw new BadArguments(`${option} is needed.`);
  return value;
}
