/**
 * A correction as it is kept: layers over a student's picture, the lowest first. Each says where (a mask) and what is done there to
 * the light. The picture itself is never changed. Places are shares of the picture, so that a correction fits every size of it.
 */
import { z } from 'zod';
import { PAINT_IDS } from '../exercise/paints';
import { grownBox, type ShareBox, shareBoxRound } from '../geometry/share-box';
import { strokeSchema } from '../raster/brush';

/** Raised when the meaning of a stored field changes; readers refuse versions they don't know. */
export const CORRECTION_VERSION = 1;

/** How far each change goes. */
export const LIMITS = {
  /** L*, either way. */
  lightness: 60,
  /** Of an edge that is softened, and of a mask: share of the picture's width. */
  soft: 0.08,
  /** A glaze as it is laid wet, mm of undiluted paint: a medium that thins it adds none. */
  filmMm: { least: 0.0002, most: 0.3 },
  /** How many times as wide or as tall. */
  size: { least: 0.4, most: 2.5 },
} as const;

const MOST_LAYERS = 30;
const MOST_EDITS = 200;

const share = z.number().min(0).max(1);
const outlineSchema = z.object({
  kind: z.literal('outline'),
  points: z
    .array(z.tuple([share, share]))
    .min(3, 'An outline needs three places.')
    .max(2000),
  adds: z.boolean(),
});
const brushSchema = strokeSchema.extend({ kind: z.literal('stroke'), adds: z.boolean() });
const maskEditSchema = z.discriminatedUnion('kind', [outlineSchema, brushSchema]);
export type MaskEdit = z.infer<typeof maskEditSchema>;

const maskSchema = z.object({
  /** What was outlined or brushed, in its order: each adds to the mask or takes from it. */
  edits: z.array(maskEditSchema).max(MOST_EDITS, 'This mask has very many strokes: begin another layer.'),
  /** How far inwards its rim fades, share of the width. */
  soft: z.number().min(0).max(LIMITS.soft),
});
export type Mask = z.infer<typeof maskSchema>;

const bands = z.tuple([z.number().min(0), z.number().min(0), z.number().min(0)]);

const changeSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('lightness'), by: z.number().min(-LIMITS.lightness).max(LIMITS.lightness) }),
  /** `by`: sigma of the softening, share of the width. */
  z.object({ kind: z.literal('soften'), by: z.number().min(0).max(LIMITS.soft) }),
  z.object({
    kind: z.literal('glaze'),
    paint: z.enum(PAINT_IDS),
    /** The paint as the class knew it then: what is learnt of it later changes no correction. */
    model: z.object({ absorption: bands, scattering: bands }),
    surface: z.enum(['matt', 'satin', 'gloss']),
    mm: z.number().min(LIMITS.filmMm.least).max(LIMITS.filmMm.most),
  }),
  z.object({
    kind: z.literal('move'),
    /** To the right and down, shares of width and height. */
    dx: z.number().min(-1).max(1),
    dy: z.number().min(-1).max(1),
    wider: z.number().min(LIMITS.size.least).max(LIMITS.size.most),
    taller: z.number().min(LIMITS.size.least).max(LIMITS.size.most),
    /** Degrees, clockwise. */
    turn: z.number().min(-180).max(180),
  }),
  /** A new shape of one value, L*. */
  z.object({ kind: z.literal('shape'), lightness: z.number().min(0).max(100) }),
]);
export type Change = z.infer<typeof changeSchema>;
export type ChangeKind = Change['kind'];

export const layerSchema = z.object({
  id: z.string().min(1).max(40),
  /** What it is about, as the teacher calls it; empty where the place says enough. */
  name: z.string().max(80, 'Keep the name of a layer to 80 characters.'),
  mask: maskSchema,
  change: changeSchema,
});
export type Layer = z.infer<typeof layerSchema>;

export const layersSchema = z.array(layerSchema).max(MOST_LAYERS, `A correction has ${MOST_LAYERS} layers at most.`);

/** As it stands in the database. */
export const storedLayersSchema = z.object({ version: z.literal(CORRECTION_VERSION), layers: layersSchema });

/** The box round what was added to a mask, shares of the picture; null round nothing. */
export function maskBox({ edits }: Mask): ShareBox | null {
  const boxes = edits.flatMap((edit): ShareBox[] => {
    if (!edit.adds) return [];
    const of = (axis: 0 | 1) =>
      edit.kind === 'outline' ? edit.points.map((p) => p[axis]) : edit.points.filter((_, k) => k % 2 === axis);
    const [xs, ys] = [of(0), of(1)];
    const [x, y] = [Math.min(...xs), Math.min(...ys)];
    const box = { x, y, width: Math.max(...xs) - x, height: Math.max(...ys) - y };
    return [edit.kind === 'stroke' ? grownBox(box, edit.width / 2) : box];
  });
  return shareBoxRound(boxes);
}
