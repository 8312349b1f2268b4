/** The measurement of a scale as JSON: what the command line prints and the database keeps. */
import { z } from 'zod';
import { captureSchema } from '../capture/capture-result';
import { PURE_COLOUR_AT } from '../exercise/targets';

/** Raised when the meaning of a stored field changes; readers refuse versions they don't know. */
export const SCALE_RESULT_VERSION = 2;

export const VALUE_FLAGS = ['off_target', 'weak_black', 'weak_white'] as const;
export const CRAFT_FLAGS = ['streaky', 'bare_ground', 'over_the_line', 'built_up_edge', 'line_shows'] as const;
export const COLOUR_FLAGS = ['drift_warm', 'drift_cool', 'hue_turn'] as const;
export const STEP_FLAGS = [...VALUE_FLAGS, ...CRAFT_FLAGS, ...COLOUR_FLAGS] as const;
export const GAP_FLAGS = ['too_close', 'too_wide', 'reversed'] as const;
export type StepFlag = (typeof STEP_FLAGS)[number];
export type GapFlag = (typeof GAP_FLAGS)[number];

export const stepSchema = z.object({
  index: z.number().int(),
  lightness: z.number(),
  a: z.number().nullable(),
  b: z.number().nullable(),
  target: z.number(),
  error: z.number(),
  errorSteps: z.number(),
  /** Half-width of the 95 % interval, L*. */
  uncertainty: z.number(),
  /** The part of it that two readings on one sheet do not share, L*. */
  ownUncertainty: z.number(),
  extrapolated: z.boolean(),
  spread: z.number(),
  bareGround: z.number().nullable(),
  overflow: z.number().nullable(),
  /** Difference of the paint along the edge from the middle, L*; negative is darker. Null where nothing is printed round it. */
  rim: z.number().nullable().default(null),
  /** Share of the printed line that still shows; null likewise. */
  lineShows: z.number().nullable().default(null),
  flags: z.array(z.enum(STEP_FLAGS)),
});
export type MeasuredStep = z.infer<typeof stepSchema>;

export const gapSchema = z.object({
  between: z.tuple([z.number().int(), z.number().int()]),
  gap: z.number(),
  ideal: z.number(),
  flags: z.array(z.enum(GAP_FLAGS)),
});
export type MeasuredGap = z.infer<typeof gapSchema>;

const repaintSchema = z.object({ step: z.number().int(), from: z.number(), to: z.number() });
/** Step (from 1) to be painted again, from which L* to which. */
export type Repaint = z.infer<typeof repaintSchema>;

const chipSchema = z.object({
  /** Which printed place, from 1. */
  place: z.number().int(),
  /** The step it was placed at. */
  step: z.number().int(),
  lightness: z.number(),
  a: z.number(),
  b: z.number(),
  /** Where it belongs between the measured steps, as a fraction; 1 is the first step. */
  belongs: z.number(),
  /** The step that is as light as it. */
  nearest: z.number().int(),
  what: z.enum(['pure', 'tint', 'dark', 'grey']),
});
export type MeasuredChip = z.infer<typeof chipSchema>;

export const scaleResultSchema = z.object({
  version: z.literal(SCALE_RESULT_VERSION),
  kind: z.literal('scale'),
  capture: captureSchema,
  steps: z.array(stepSchema),
  gaps: z.array(gapSchema),
  summary: z
    .object({
      evenness: z.number(),
      order: z.enum(['kept', 'reversed', 'mixed']),
      ends: z.object({ lightest: z.number(), darkest: z.number() }),
      drift: z.object({ warm: z.array(z.number().int()), cool: z.array(z.number().int()) }),
    })
    .nullable(),
  /** The pure colour of a scale of one colour that its targets run through, as the paints foretold it; null of all others. */
  pure: z
    .object({ lightness: z.number(), at: z.enum(PURE_COLOUR_AT) })
    .nullable()
    .default(null),
  /** The fewest steps to paint again that bring all within tolerance; null in results from before it was worked out. */
  leastWork: z.array(repaintSchema).nullable().default(null),
  /** The dark shape in front of a banded picture; null where there is none. */
  silhouette: z
    .object({ lightness: z.number(), spread: z.number(), bareGround: z.number().nullable(), solid: z.boolean() })
    .nullable()
    .default(null),
  /** Chips of colour laid under the greys; empty for exercises without. */
  chips: z.array(chipSchema).default([]),
});
export type ScaleResult = z.infer<typeof scaleResultSchema>;
