/**
 * A scene without a picture: a set-up that a class paints from life. Its masses are named once; where they lie is painted on
 * each student's own picture, since everybody sits somewhere else. Both are versioned JSON.
 */
import { z } from 'zod';
import { brushed, strokeSchema } from '../raster/brush';
import { massSchema, type MassPlane } from '../tones/mass';
import { MOST_TONES } from '../tones/thresholds';
import { toneShapes } from '../tones/tones';

export const SET_UP_VERSION = 1;
export const MOST_MASSES = 40;

const id = z.string().min(1).max(40);
const setUpMassSchema = massSchema.extend({ id });
export type SetUpMass = z.infer<typeof setUpMassSchema>;

export const setUpSchema = z
  .object({
    version: z.literal(SET_UP_VERSION),
    /** How many lights there are. */
    lights: z.number().int().min(1).max(4),
    /** Tones among which steps are allotted. */
    tones: z.number().int().min(2).max(MOST_TONES),
    masses: z.array(setUpMassSchema).max(MOST_MASSES, `A set-up has up to ${MOST_MASSES} masses: join some.`),
  })
  .refine(
    ({ masses }) => new Set(masses.map((m) => m.name.toLowerCase())).size === masses.length,
    'Two masses have the same name: give each its own.',
  );
export type SetUp = z.infer<typeof setUpSchema>;

export const emptySetUp = (): SetUp => ({ version: SET_UP_VERSION, lights: 1, tones: 3, masses: [] });

export const PAINTED_MASSES_VERSION = 1;
const share = z.number().min(0).max(1);

export const massEditSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('stroke'), ...strokeSchema.shape, mass: id.nullable() }),
  /** All of the painting's shape that a place lies in; shares of width and height. */
  z.object({ kind: z.literal('shape'), x: share, y: share, mass: id.nullable() }),
]);
export type MassEdit = z.infer<typeof massEditSchema>;

/** What was done, in its order; `mass` null takes a place away from all of them. */
export const paintedMassesSchema = z.object({
  version: z.literal(PAINTED_MASSES_VERSION),
  edits: z.array(massEditSchema).max(1000, 'That are very many strokes: take whole shapes where you can.'),
});
export type PaintedMasses = z.infer<typeof paintedMassesSchema>;

/**
 * Number from 1 of the mass of each place, 0 for none. `toneOf` is any plane whose shapes are those of the painting: tones, or
 * the greys that stand for them. What is of a mass that the set-up no longer has is of none.
 */
export function massPlane(
  toneOf: ArrayLike<number>,
  width: number,
  height: number,
  edits: readonly MassEdit[],
  masses: readonly SetUpMass[],
): MassPlane {
  const nameOf = new Uint8Array(width * height);
  const number = new Map(masses.map((m, k) => [m.id, k + 1]));
  const { shapeOf } = toneShapes(toneOf, width);
  for (const edit of edits) {
    const own = edit.mass === null ? 0 : (number.get(edit.mass) ?? 0);
    if (edit.kind === 'stroke') {
      brushed(nameOf, width, height, edit, own);
      continue;
    }
    const shape =
      shapeOf[
        Math.min(height - 1, Math.floor(edit.y * height)) * width + Math.min(width - 1, Math.floor(edit.x * width))
      ];
    for (let i = 0; i < nameOf.length; i++) if (shapeOf[i] === shape) nameOf[i] = own;
  }
  return { nameOf, names: masses };
}
