/**
 * What the light reaches and what it does not, over a whole picture. Proposed is what is darker than a line: right where
 * things are of themselves about as light as each other, wrong for what is dark in the light or light in the shadow. A person
 * corrects it with a brush and shape by shape; the corrections are kept as they were made.
 */
import { z } from 'zod';
import { brushed, strokeSchema } from '../raster/brush';
import { lightnessHistogram } from '../raster/lightness-histogram';
import type { Raster } from '../raster/raster';
import { otsuThresholds } from '../tones/thresholds';

export const SIDES = ['light', 'shadow'] as const;
export type Side = (typeof SIDES)[number];

const share = z.number().min(0).max(1);

export const shadowEditSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('stroke'), to: z.enum(SIDES), ...strokeSchema.shape }),
  /** A whole shape, told by a place in it. */
  z.object({ kind: z.literal('shape'), to: z.enum(SIDES), x: share, y: share }),
]);
export type ShadowEdit = z.infer<typeof shadowEditSchema>;

/** The line that is proposed between light and shadow, L*: Otsu's between two tones. Throws TooFewTones on a flat picture. */
export const proposedLine = (lightness: Raster<'lightness', 1>): number =>
  otsuThresholds(lightnessHistogram(lightness.data), 2)[0] ?? 50;

/** 1 where the light reaches, 0 elsewhere. */
export function litAbove({ data }: Raster<'lightness', 1>, line: number): Uint8Array {
  const lit = new Uint8Array(data.length);
  for (let i = 0; i < lit.length; i++) lit[i] = (data[i] as number) > line ? 1 : 0;
  return lit;
}

/**
 * The map after corrections, in the order in which they were made. `shapeOf` tells which shape of the picture each place is
 * of. The proposal is left as it is.
 */
export function corrected(
  proposal: Uint8Array,
  width: number,
  height: number,
  shapeOf: ArrayLike<number>,
  edits: readonly ShadowEdit[],
): Uint8Array {
  const lit = Uint8Array.from(proposal);
  for (const edit of edits) {
    if (edit.kind === 'stroke') {
      brushed(lit, width, height, edit, edit.to === 'light' ? 1 : 0);
      continue;
    }
    const at =
      Math.min(height - 1, Math.floor(edit.y * height)) * width + Math.min(width - 1, Math.floor(edit.x * width));
    const shape = shapeOf[at];
    const value = edit.to === 'light' ? 1 : 0;
    for (let i = 0; i < lit.length; i++) if (shapeOf[i] === shape) lit[i] = value;
  }
  return lit;
}

/** A map of nothing but light, or nothing but shadow. */
export class OneSided extends RangeError {
  override readonly name = 'OneSided';
}

/** Throws OneSided where there is no light, or no shadow, to be told apart. */
export function checkSides(lit: Uint8Array): void {
  const light = lit.reduce((s, v) => s + v, 0);
  if (light === 0 || light === lit.length)
    throw new OneSided(
      light === 0
        ? 'All of this picture lies in shadow by its map: brush in what the light reaches.'
        : 'All of this picture lies in the light by its map: brush in the shadow.',
    );
}
