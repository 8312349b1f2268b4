/** What a teacher sets for a value scale. One schema for form, server, command line and stored JSON. */
import { z } from 'zod';
import { PAPER_IDS } from '../sheet/paper';
import { MAX_STEPS, MIN_STEPS } from '../sheet/scale-layout';
import { materialsSchema, USUAL_MATERIALS } from './materials';
import { MEDIA, MEDIUM_IDS } from './media';

export const STEP_PRESETS = [5, 7, 9, 10, 11, 12] as const;

export const READING_ORDERS = ['light-first', 'dark-first'] as const;
export const SPACINGS = ['lightness', 'munsell'] as const;
export const WORK_ORDERS = ['ends-first', 'dark-to-light', 'light-to-dark'] as const;
export const ANCHORS = ['medium', 'own', 'theoretical'] as const;

export type ReadingOrder = (typeof READING_ORDERS)[number];
export type Spacing = (typeof SPACINGS)[number];
export type WorkOrder = (typeof WORK_ORDERS)[number];
export type Anchor = (typeof ANCHORS)[number];

const lightness = z.number().min(0).max(100);

/** Lightness (L*) of the lightest and darkest step that are aimed at. */
export const endsSchema = z.object({ light: lightness, dark: lightness }).refine((e) => e.light - e.dark >= 20, {
  message: 'The white end must be at least 20 L* lighter than the black end.',
});
export type Ends = z.infer<typeof endsSchema>;

export const stepsSchema = z
  .number({ error: 'Give the number of steps as a whole number from 3 to 15.' })
  .int('Give the number of steps as a whole number from 3 to 15.')
  .min(MIN_STEPS, { error: (i) => `A scale needs 3 to 15 steps, got ${String(i.input)}.` })
  .max(MAX_STEPS, { error: (i) => `A scale needs 3 to 15 steps, got ${String(i.input)}.` });

export const scaleExerciseSchema = z.object({
  kind: z.literal('scale'),
  steps: stepsSchema,
  paper: z.enum(PAPER_IDS),
  medium: z.enum(MEDIUM_IDS),
  /** Which end step 1 is. */
  order: z.enum(READING_ORDERS),
  spacing: z.enum(SPACINGS),
  /** What the targets hang on: what the medium reaches, the student's own ends, or 100 and 0. */
  anchor: z.enum(ANCHORS),
  ends: endsSchema,
  workOrder: z.enum(WORK_ORDERS),
  /** A step further off than this many steps is told. */
  toleranceSteps: z.number().min(0.2).max(2),
  /** Whether bare ground may stand for the lightest step. */
  groundMayStand: z.boolean(),
  // Scales set before materials were asked for hold none.
  materials: materialsSchema.default(USUAL_MATERIALS),
});
export type ScaleExercise = z.infer<typeof scaleExerciseSchema>;

/** The usual scale of a medium: nine steps, white first, A4. */
export function defaultScale(medium: keyof typeof MEDIA = 'gouache', steps = 9): ScaleExercise {
  return {
    kind: 'scale',
    steps,
    paper: 'a4',
    medium,
    order: 'light-first',
    spacing: 'lightness',
    anchor: 'medium',
    ends: { ...MEDIA[medium].ends },
    workOrder: 'ends-first',
    toleranceSteps: 0.5,
    groundMayStand: false,
    materials: USUAL_MATERIALS,
  };
}
