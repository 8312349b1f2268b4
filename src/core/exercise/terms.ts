/**
 * What a teacher sets, for every kind of exercise: one schema a kind that form, server, command line and stored JSON share.
 * What else a kind is stands in the table of kinds.
 */
import { z } from 'zod';
import { PAPER_IDS } from '../sheet/paper';
import { judgingSchema } from './judging';
import { materialsSchema } from './materials';
import { MEDIUM_IDS } from './media';
import { endsSchema, type ScaleExercise, scaleExerciseSchema } from './scale';
import { PURE_COLOUR_AT } from './targets';

export const MOTIFS = ['glow', 'ranges', 'stairwell'] as const;
export type Motif = (typeof MOTIFS)[number];
export const NOTAN_SCHOOLS = ['light-and-shadow', 'threshold'] as const;
export type NotanSchool = (typeof NOTAN_SCHOOLS)[number];
export const MAX_STUDIES = 6;

const phrase = (most: number, what: string) =>
  z.string().trim().max(most, `${what} is too long: keep it to ${most} characters.`);

const onPaper = {
  paper: z.enum(PAPER_IDS),
  medium: z.enum(MEDIUM_IDS),
  ends: endsSchema,
  /** A value further off than this many steps is told. */
  toleranceSteps: z.number().min(0.2).max(2),
  materials: materialsSchema,
};
const picture = { ...onPaper, judging: judgingSchema };

export const monochromeScaleSchema = scaleExerciseSchema.extend({
  kind: z.literal('monochrome-scale'),
  hue: phrase(60, 'The colour').min(1, 'Name the colour that the scale is made of.'),
  pureAt: z.enum(PURE_COLOUR_AT),
});

export const bandsSchema = scaleExerciseSchema.extend({
  kind: z.literal('bands'),
  motif: z.enum(MOTIFS),
  /** Middle of the lamp (glow) or of the far opening (stairwell), as shares of the frame. */
  lamp: z.object({ x: z.number().min(0.05).max(0.95), y: z.number().min(0.05).max(0.95) }),
  /** Whether the sheet has the bands' outlines, or they are drawn by hand in an empty frame. */
  outlines: z.enum(['printed', 'own']).default('printed'),
  silhouettes: z.enum(['drawn', 'own']),
  /** Whether the nearest layer, in black, is painted first or last. */
  nearest: z.enum(['first', 'last']),
  /** Width of the smallest brush, mm: no band is narrower. */
  brushMm: z.number().min(2, 'A brush is 2 to 20 mm wide.').max(20, 'A brush is 2 to 20 mm wide.'),
  /** The one colour that the bands are mixed of; null for greys. */
  hue: phrase(60, 'The colour').min(1, 'Name the colour that the bands are made of.').nullable().default(null),
  /** Where its pure colour goes. */
  pureAt: z.enum(PURE_COLOUR_AT).default('own-value'),
});

export const coloursOnScaleSchema = scaleExerciseSchema.extend({
  kind: z.literal('colours-on-scale'),
  chips: z.number().int().min(4, 'Place 4 to 15 chips.').max(15, 'Place 4 to 15 chips.'),
});

export const notanSchema = z.object({
  kind: z.literal('notan'),
  ...picture,
  tones: z
    .number()
    .int()
    .min(2, 'A study in flat tones has 2 to 12 of them.')
    .max(12, 'A study in flat tones has 2 to 12 of them.'),
  school: z.enum(NOTAN_SCHOOLS),
});

export const fiveValueSchema = z.object({ kind: z.literal('five-value'), ...picture, whiteSparing: z.boolean() });

export const quickStudiesSchema = z.object({
  kind: z.literal('quick-studies'),
  ...picture,
  goals: z
    .array(phrase(120, 'A goal'))
    .min(1, 'Set at least one study.')
    .max(MAX_STUDIES, `A sheet holds up to ${MAX_STUDIES} studies.`),
  /** A timer that only tells the time; null for none. */
  minutes: z.number().int().min(1).max(120).nullable(),
});

export const freeColourSchema = z.object({ kind: z.literal('free-colour'), ...picture });

export const limitedPaletteSchema = z.object({
  kind: z.literal('limited-palette'),
  ...picture,
  /** Names of the paints of the first round; each later round has one fewer. */
  paints: z
    .array(phrase(60, 'A paint').min(1, 'Name each paint.'))
    .min(2, 'A series needs at least two paints.')
    .max(8, 'A series has up to eight paints.'),
});

export const monochromePaintingSchema = z.object({
  kind: z.literal('monochrome-painting'),
  ...picture,
  subject: z.enum(['picture', 'set-up']),
  way: z.enum(['single-sitting', 'staged']),
  /** As `toleranceSteps`, for the stages before the last: early on only large errors matter. */
  earlyToleranceSteps: z
    .number()
    .min(0.2, 'Early stages are told from 0.2 to 3 steps off.')
    .max(3, 'Early stages are told from 0.2 to 3 steps off.'),
  glaze: z.boolean(),
  /** Whether a touch of another colour may stand in it. */
  accent: z.boolean().default(false),
});

export const masterCopySchema = z.object({ kind: z.literal('master-copy'), ...picture });
export const rescueSchema = z.object({ kind: z.literal('rescue'), ...picture });

export type ExerciseTerms =
  | ScaleExercise
  | z.infer<typeof monochromeScaleSchema>
  | z.infer<typeof bandsSchema>
  | z.infer<typeof coloursOnScaleSchema>
  | z.infer<typeof notanSchema>
  | z.infer<typeof fiveValueSchema>
  | z.infer<typeof quickStudiesSchema>
  | z.infer<typeof freeColourSchema>
  | z.infer<typeof limitedPaletteSchema>
  | z.infer<typeof monochromePaintingSchema>
  | z.infer<typeof masterCopySchema>
  | z.infer<typeof rescueSchema>;
export type ExerciseKind = ExerciseTerms['kind'];
export type TermsOf<K extends ExerciseKind> = Extract<ExerciseTerms, { kind: K }>;
/** Kinds whose sheet is a row of steps. */
export type SteppedTerms = Extract<ExerciseTerms, { steps: number }>;
/** Kinds that are painted as a picture. */
export type PictureTerms = Extract<ExerciseTerms, { judging: unknown }>;

export const isStepped = (terms: ExerciseTerms): terms is SteppedTerms => 'steps' in terms;
export const isPicture = (terms: ExerciseTerms): terms is PictureTerms => 'judging' in terms;
