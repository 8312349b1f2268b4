/** The measurement of a painting in few tones as JSON: what the command line prints. */
import { z } from 'zod';
import { captureSchema } from '../capture/capture-result';
import { shareBoxSchema } from '../geometry/share-box';
import { massSchema } from '../tones/mass';

/** Raised when the meaning of a stored field changes; readers refuse versions they don't know. */
export const NOTAN_RESULT_VERSION = 2;

const share = z.number().min(0).max(1);
export const notanResultSchema = z.object({
  version: z.literal(NOTAN_RESULT_VERSION),
  kind: z.literal('notan'),
  /** What it was judged against: a prepared picture, masses that a person painted on it, or nothing but itself. */
  reference: z.enum(['picture', 'masses', 'none']).default('picture'),
  capture: captureSchema,
  /**
   * Tone 1 is the lightest. `referenceShare` is null without a picture to paint from. `spread` is the standard
   * deviation about its lightness, L*; both null where the painting does not have it. Empty where nothing was read.
   */
  tones: z.array(
    z.object({
      index: z.number().int(),
      share,
      referenceShare: share.nullable(),
      lightness: z.number().nullable(),
      spread: z.number().nullable(),
    }),
  ),
  /** What each tone was to be, L*, the lightest first: with the key and the push that the picture is to have. Null in results from before it was kept. */
  targets: z.array(z.number()).nullable().default(null),
  agreement: share.nullable(),
  /** Beside outlines of the reference left out. */
  agreementTolerant: share.nullable(),
  /** After the best shift. */
  agreementAligned: share.nullable(),
  kappa: z.number().nullable(),
  /** How far the painting sits to the right of, and below, the reference, shares of its width and height. */
  shift: z.object({ x: z.number(), y: z.number() }).nullable(),
  /** `shape` is the name that the reference has for it, `emphasis` how much it weighs, `outline` rings of shares of width and height. */
  regions: z.array(
    z.object({
      /** Stays the same when the painting is judged or measured again. */
      id: z.string(),
      box: shareBoxSchema,
      area: share,
      drawn: z.number().int(),
      wanted: z.number().int(),
      shape: z.string().optional(),
      emphasis: z.number().optional(),
      outline: z.array(z.array(z.tuple([z.number(), z.number()]))).optional(),
    }),
  ),
  shapes: z
    .object({
      large: z.number().int(),
      middle: z.number().int(),
      small: z.number().int(),
      largest: share,
      variety: z.number().nullable().default(null),
      slivers: z.number().int(),
      ragged: share,
    })
    .nullable(),
  /**
   * A dark frame that was painted round the picture and left out: its lightness, L*, whether it stands for the dark
   * end, and what lies inside it; null where there is none.
   */
  frame: z
    .object({ lightness: z.number(), isDarkEnd: z.boolean().default(false), inside: shareBoxSchema.optional() })
    .nullable(),
  /** Share of the seams between tones that lie between their neighbours; null where nothing was read. */
  seams: share.nullable().default(null),
  /**
   * Named masses that lie in the picture. `lightness` is their mean, `inside` the share of them in the steps that they
   * are allotted, `outside` the tone outside of them that more of it has than any other, and how much; `unused` those
   * steps that less than a hundredth of it has.
   */
  masses: z
    .array(
      z.object({
        name: z.string(),
        part: massSchema.shape.part,
        emphasis: z.number(),
        box: shareBoxSchema,
        share,
        lightness: z.number().nullable(),
        steps: z.object({ from: z.number().int(), to: z.number().int() }).nullable(),
        inside: share.nullable(),
        outside: z.object({ tone: z.number().int(), share }).nullable(),
        unused: z.array(z.number().int()),
      }),
    )
    .default([]),
  /** Objects with a lit and a shadow side: how much lighter the 5th percentile of the light is than the 95th of the shadow, L*, and in the reference. */
  pairs: z
    .array(
      z.object({
        object: z.string(),
        lit: z.array(z.string()),
        shadow: z.array(z.string()),
        separation: z.number(),
        wanted: z.number().nullable(),
      }),
    )
    .default([]),
  /** Overlapping shadows that are lighter (L*) than a shadow of fewer lights on the same object. */
  overlaps: z.array(z.object({ name: z.string(), than: z.string(), by: z.number() })).default([]),
});
export type NotanResult = z.infer<typeof notanResultSchema>;
