/** A mass: a part of a picture that has a name, and what is asked of it. Nested by “>”: can > lit side. */
import { z } from 'zod';
import { MOST_TONES } from './thresholds';

export const PARTS_OF_LIGHT = ['lit', 'shadow', 'cast-shadow'] as const;
export const MATERIALS_SEEN = ['matt', 'metal', 'glass'] as const;
export type MaterialSeen = (typeof MATERIALS_SEEN)[number];

const step = z.number().int().min(1).max(15);

export const massSchema = z.object({
  name: z.string().trim().min(1, 'A shape needs a name.').max(80, 'Keep the name of a shape to 80 characters.'),
  /** How much what is said of it weighs. */
  emphasis: z.number().min(0.5).max(3),
  part: z.enum(PARTS_OF_LIGHT).nullable().default(null),
  material: z.enum(MATERIALS_SEEN).default('matt'),
  /** How many of the lights are kept off it. */
  blocked: z.number().int().min(0).max(4).default(0),
  /** Steps (1 the lightest) that it is allotted, of how many; null for any. */
  steps: z
    .object({ from: step, to: step, of: z.number().int().min(2).max(MOST_TONES).nullable().default(null) })
    .nullable()
    .default(null),
});
export type Mass = z.infer<typeof massSchema>;

/** Which mass each place of a picture is of. */
export interface MassPlane {
  /** Number from 1 of the mass that each place is of; 0 for none. */
  readonly nameOf: Uint8Array;
  readonly names: readonly Mass[];
}

/** Steps that a mass is allotted in an exercise of `count` tones; null for any. Steps of another number of tones say nothing of these. */
export function allotted({ steps }: Mass, count: number): { readonly from: number; readonly to: number } | null {
  if (!steps || (steps.of ?? count) !== count) return null;
  const { from, to } = steps;
  return from > count ? null : { from, to: Math.min(count, Math.max(from, to)) };
}

/** The object that a mass is of: all of its name but the last part, or all of it where it has one part only. */
export function objectOf({ name }: Pick<Mass, 'name'>): string {
  const parts = name.split('>').map((p) => p.trim());
  return parts
    .slice(0, Math.max(1, parts.length - 1))
    .join(' > ')
    .toLowerCase();
}
