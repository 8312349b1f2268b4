/**
 * How a picture was prepared, as versioned JSON: what of it is taken, how it is squinted and cut into tones, where its light
 * and shadow lie, and the shapes that it is cut into. Everything else is worked out from this and the picture, the same in
 * the browser and on the server.
 */
import { z } from 'zod';
import { KEYS, USUAL_JUDGING } from '../exercise/judging';
import { endsSchema } from '../exercise/scale';
import { NOTAN_SCHOOLS } from '../exercise/terms';
import { MOST_TONES } from '../tones/thresholds';
import { shadowEditSchema } from './shadow-map';
import { namedShapeSchema, shapeEditSchema } from './shape-cut';

export const PREPARATION_VERSION = 1;

const share = z.number().min(0).max(1);
const place = z.object({ x: share, y: share });

/** Rising L*; told where they cross. */
export const thresholdsSchema = z
  .array(z.number().min(0).max(100))
  .max(MOST_TONES - 1)
  .refine(
    (ts) => ts.every((t, i) => i === 0 || t > (ts[i - 1] as number)),
    'The lines between tones cross: each has to lie above the one before.',
  );

const cutSchema = z.object({
  /** Sigma of the squint, percent of the longer side. */
  squint: z.number().min(0).max(6),
  /** Shapes smaller than this share of the picture go to what lies beside them. */
  dissolve: z.number().min(0).max(0.05),
  /** Sigma of smoothing outlines, percent of the longer side. */
  smooth: z.number().min(0).max(2),
});
export type Cut = z.infer<typeof cutSchema>;

export const preparationSchema = z.object({
  version: z.literal(PREPARATION_VERSION),
  /** What is taken of the picture: top left, top right, bottom right, bottom left, as shares of its width and height. */
  corners: z.tuple([place, place, place, place]),
  /** Width over height of what that becomes. */
  proportion: z.number().min(0.2).max(5),
  ...cutSchema.shape,
  /** Tones on the bench. */
  tones: z.number().int().min(2).max(MOST_TONES),
  school: z.enum(NOTAN_SCHOOLS),
  /** Thresholds that were set by hand, by school and number of tones: `cutKey`. By the automatic rule where there are none. */
  cuts: z.record(z.string(), thresholdsSchema),
  /** What paint reaches, and how values are to sit in it, while preparing; an exercise has its own. */
  ends: endsSchema,
  key: z.enum(KEYS),
  pushPercent: z.number().min(0).max(50),
  light: z.object({
    /** How many lights there are. */
    count: z.number().int().min(1).max(4),
    /** Lightness (L*) below which shadow is proposed; null: by the automatic rule. */
    line: z.number().min(0).max(100).nullable(),
    edits: z.array(shadowEditSchema).max(2000),
  }),
  shapes: z.object({
    /** How the picture was cut when its shapes were begun, so that they stand when tones are changed later; null: not begun. */
    cut: cutSchema.extend({ thresholds: thresholdsSchema }).nullable(),
    edits: z.array(shapeEditSchema).max(500),
    named: z.array(namedShapeSchema).max(200),
  }),
  /** Squares of a grid along the longer side; 0 for none. */
  grid: z.number().int().min(0).max(24),
  /** Other references that are shown beside it. */
  exemplars: z.array(z.string()).max(6),
});
export type Preparation = z.infer<typeof preparationSchema>;

export const cutKey = (school: Preparation['school'], tones: number): string => `${school}-${tones}`;

/** Corners of the whole picture. */
export const WHOLE: Preparation['corners'] = [
  { x: 0, y: 0 },
  { x: 1, y: 0 },
  { x: 1, y: 1 },
  { x: 0, y: 1 },
];

/** How a picture of these proportions is prepared before anybody has touched it. */
export function untouched(proportion: number): Preparation {
  return {
    version: PREPARATION_VERSION,
    corners: WHOLE,
    proportion: Math.min(5, Math.max(0.2, proportion)),
    squint: 0.4,
    dissolve: 0.002,
    smooth: 0.3,
    tones: 2,
    school: 'light-and-shadow',
    cuts: {},
    ends: { light: 94, dark: 24 },
    key: USUAL_JUDGING.key,
    pushPercent: 0,
    light: { count: 1, line: null, edits: [] },
    shapes: { cut: null, edits: [], named: [] },
    grid: 0,
    exemplars: [],
  };
}
