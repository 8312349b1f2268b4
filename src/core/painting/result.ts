/** The measurement of a painting against its reference as JSON. */
import { z } from 'zod';
import { captureSchema } from '../capture/capture-result';
import { shareBoxSchema } from '../geometry/share-box';
import { registrationSchema } from './registration/affine';
import { FORM_CODES } from './form/codes';
import { FORM_PARTS } from './shapes/form-parts';
import { stageResultSchema } from './stage';
import { wholePictureSchema } from './values/whole-picture';

/** What can be the matter with a thin line, and with how far a shape reaches. */
export const ACCENT_KINDS = ['missing', 'weak', 'extra', 'thin', 'wide'] as const;
export const EXTENT_KINDS = ['wide', 'narrow', 'detail'] as const;

/** Raised when the meaning of a stored field changes; readers refuse versions they don't know. */
export const PAINTING_RESULT_VERSION = 1;

const lightness = z.number();
const percentiles = z.object({ p5: lightness, p50: lightness, p95: lightness });

const gradient = z.object({ x: z.number(), y: z.number() });
const besideWanted = z.object({ wanted: z.number(), painted: z.number() });

export const paintingResultSchema = z.object({
  version: z.literal(PAINTING_RESULT_VERSION),
  kind: z.literal('painting'),
  capture: captureSchema,
  /** What a step of the exercise is, L*. */
  step: lightness,
  /** Null where the painting was not laid on its reference. */
  registration: registrationSchema.nullable(),
  /**
   * What is wrong with the whole: painted L* against target L*, rising. `offset` is how much too light all of it is, `contrast`
   * how much of its range is left (1 where all is).
   */
  overall: z
    .object({
      curve: z.array(z.object({ target: lightness, painted: lightness })),
      offset: z.number(),
      contrast: z.number(),
    })
    .nullable(),
  /** Parts that are beyond tolerance once the whole is taken off; `deltaLightness` is painted less target, all in all. */
  regions: z.array(
    z.object({
      /** Stays the same when the painting is measured again, as do those of displacements. */
      id: z.string(),
      /** The named shape that it lies in; null where it lies in none. */
      shape: z.string().nullable(),
      box: shareBoxSchema,
      /** Rings of shares of width and height. */
      outline: z.array(z.array(z.tuple([z.number(), z.number()]))),
      area: z.number(),
      deltaLightness: z.number(),
      residual: z.number(),
      deltaSteps: z.number(),
    }),
  ),
  /** Features that stand elsewhere than the whole has them: in widths, ratios, degrees clockwise. */
  displacements: z.array(
    z.object({
      id: z.string(),
      box: shareBoxSchema,
      name: z.string().nullable(),
      dx: z.number(),
      dy: z.number(),
      width: z.number(),
      height: z.number(),
      slant: z.number(),
    }),
  ),
  /** Gaps between features that stand beside or above each other: widths, below 0 where they overlap. */
  gaps: z
    .array(
      z.object({
        between: z.tuple([z.string(), z.string()]),
        way: z.enum(['across', 'down']),
        wanted: z.number(),
        painted: z.number(),
        box: shareBoxSchema,
      }),
    )
    .default([]),
  /**
   * Thin lines that are not as the reference has them, or that only the painting has. `light`: lighter than what lies about it;
   * `amount`: how much of it there is where 1 is all that should be, and of an extra one how much of it the reference has.
   */
  accents: z
    .array(
      z.object({
        id: z.string(),
        box: shareBoxSchema,
        kind: z.enum(ACCENT_KINDS),
        light: z.boolean(),
        amount: z.number(),
      }),
    )
    .default([]),
  /**
   * Shapes that grew or shrank within their object (`by`: share of their width), or that are full of detail (`by`: L* that it
   * is livelier by).
   */
  extents: z
    .array(
      z.object({
        id: z.string(),
        box: shareBoxSchema,
        name: z.string().nullable(),
        kind: z.enum(EXTENT_KINDS),
        by: z.number(),
      }),
    )
    .default([]),
  /** Named shapes, each as it was read. */
  shapes: z.array(
    z.object({
      name: z.string(),
      box: shareBoxSchema,
      area: z.number(),
      lightness: lightness.nullable(),
      /** Null where there is no reference. */
      target: lightness.nullable(),
      deltaLightness: z.number().nullable(),
      residual: z.number().nullable(),
      /** The part of its object under the light that it is. */
      part: z.enum(FORM_PARTS).nullable().default(null),
      /** How much what is said of it weighs. */
      emphasis: z.number().default(1),
      /** Its colour as it was painted; null where that was not asked for, and where it is not known. */
      a: z.number().nullable().default(null),
      b: z.number().nullable().default(null),
      /** How soft its edges are, from 10 to 90 percent of the change across them; null where that is not known. */
      edgeMm: z.number().nullable().default(null),
      /** How its value goes over from one side to the other (L* a width), and what that makes across it; null where that is not known. */
      gradient: z
        .object({
          wanted: gradient,
          painted: gradient,
          across: z.object({ wanted: z.number(), painted: z.number(), off: z.number() }),
        })
        .nullable()
        .default(null),
    }),
  ),
  /**
   * How named shapes that meet stand out of each other, first less second, as wanted and as painted: L*, chroma, and the
   * difference of hue as CIE 1976 has it. Chroma and hue are null where colours were not asked for.
   */
  contrasts: z
    .array(
      z.object({
        id: z.string(),
        between: z.tuple([z.string(), z.string()]),
        box: shareBoxSchema,
        lightness: besideWanted,
        chroma: besideWanted.nullable(),
        hue: besideWanted.nullable(),
      }),
    )
    .default([]),
  /** Rules of form that it breaks and its reference does not, unless the rules win. */
  rules: z
    .array(
      z.object({
        id: z.string(),
        code: z.enum(FORM_CODES),
        object: z.string().nullable(),
        /** The shapes that it is about. */
        names: z.array(z.string()).readonly(),
        value: z.number(),
        limit: z.number(),
        box: shareBoxSchema,
      }),
    )
    .default([]),
  /** Lightness that 5, 50 and 95 percent of each lie below; the reference's own, not mapped to paint. */
  range: z.object({ student: percentiles, reference: percentiles.nullable() }).nullable(),
  /** The painting as a whole, beside its reference as paint is to have it. */
  whole: z
    .object({
      student: wholePictureSchema,
      reference: wholePictureSchema.nullable(),
      /**
       * Of each one's largest contrast, how much there is where the other has its own: both small where the eye goes elsewhere.
       * Null without a reference.
       */
      atFocus: z.object({ student: z.number(), reference: z.number() }).nullable(),
    })
    .nullable()
    .default(null),
  /** What changed since a photograph of an earlier state of the same painting; null where there is none. */
  rescue: z
    .object({
      /** Share of the area that was painted over. */
      repainted: z.number(),
      /** Change of what lies between the darkest and the lightest twentieth, L*. */
      range: z.number(),
      /** Change of the share that lies in the middle third of what paint reaches. */
      crowding: z.number(),
      /** Change of the mean contrast between neighbours, L*. */
      contrast: z.number(),
    })
    .nullable()
    .default(null),
  /** Its colours beside those of the reference; null where they were not asked for, and where they are not known. */
  colour: z
    .object({
      /** How much of the reference's differences in colour is left: 1 where all is; null where it has hardly any. */
      strength: z.number().nullable(),
      /** What all of it has too much of, in a* and b*. */
      cast: z.object({ a: z.number(), b: z.number() }),
      /** Named shapes, or parts of one colour: as they are, as they were to be, and what the whole leaves of the difference. */
      parts: z.array(
        z.object({
          id: z.string(),
          shape: z.string().nullable(),
          box: shareBoxSchema,
          area: z.number(),
          a: z.number(),
          b: z.number(),
          wantedA: z.number(),
          wantedB: z.number(),
          residualA: z.number(),
          residualB: z.number(),
          residualChroma: z.number(),
        }),
      ),
      /** Where the strongest colour sits, and where it should; null where it sits there. */
      strongest: z.object({ painted: shareBoxSchema, wanted: shareBoxSchema }).nullable(),
      /** Of every object, how much warmer its shadows are than its lights, in a* and b*: below 0 where they are cooler. */
      warmths: z
        .array(
          z.object({
            object: z.string(),
            shadows: z.array(z.string()),
            lights: z.array(z.string()),
            box: shareBoxSchema,
            wanted: z.number(),
            painted: z.number(),
          }),
        )
        .default([]),
    })
    .nullable()
    .default(null),
  /** Places of plain colour in a painting of one hue, and whether one may be; null where nobody asks, or where colours are not known. */
  accentsOfColour: z
    .object({
      allowed: z.boolean(),
      places: z.array(z.object({ box: shareBoxSchema, area: z.number(), off: z.number() })),
    })
    .nullable()
    .default(null),
  /** Whether it was painted from life, and there is no reference. */
  fromLife: z.boolean().default(false),
  /** What the question of its stage came to; null of a painting that is not built up in stages. */
  stage: stageResultSchema.nullable().default(null),
  /** A dark frame that was painted round the picture and left out; null where there is none. */
  frame: z.object({ lightness }).nullable(),
});
export type PaintingResult = z.infer<typeof paintingResultSchema>;
