/** Named shapes of a reference from a file: JSON beside a picture of labels. */
import { FORM_PARTS } from '@/core/painting/shapes/form-parts';
import type { ShapePlane } from '@/core/painting/shapes/named-shapes';
import { massSchema, objectOf } from '@/core/tones/mass';
import { existsSync, readFileSync } from 'node:fs';
import path from 'node:path';
import sharp from 'sharp';
import { z } from 'zod';
import { UnusablePicture } from '../decoding/decode';

export const shapesFileSchema = z.object({
  labels: z.string({ error: '“labels” names the picture of labels' }),
  lights: z.number().int().min(1).max(5).default(1),
  ruleWins: z.boolean().default(false),
  shapes: z
    .array(
      z.object({
        label: z
          .number()
          .int()
          .min(1, 'labels of shapes run from 1 to 255')
          .max(255, 'labels of shapes run from 1 to 255'),
        name: massSchema.shape.name,
        object: z.string().nullish(),
        part: z.enum(FORM_PARTS).nullish(),
        material: massSchema.shape.material,
        steps: z.tuple([z.number(), z.number()]).nullish(),
      }),
    )
    .min(1, 'it names no shape'),
});

export interface ShapesOfFile {
  readonly plane: ShapePlane;
  /** Whether the rules of form hold where the reference itself breaks them. */
  readonly ruleWins: boolean;
}

/** The shapes of a file; they lie on a picture of the proportion of `grid`, if there is one. Throws UnusablePicture with what is wrong with it. */
export async function shapesFrom(
  file: string,
  grid: { readonly width: number; readonly height: number } | null,
): Promise<ShapesOfFile> {
  const wrong = (what: string) => new UnusablePicture(`The file of shapes can’t be used: ${what}.`);
  let given: unknown;
  try {
    given = JSON.parse(readFileSync(file, 'utf8'));
  } catch {
    throw wrong('it is not JSON');
  }
  const parsed = shapesFileSchema.safeParse(given);
  if (!parsed.success) throw wrong(parsed.error.issues[0]?.message ?? 'it is not understood');
  const { labels, shapes, lights, ruleWins } = parsed.data;
  const picture = path.resolve(path.dirname(file), labels);
  if (!existsSync(picture)) throw wrong(`the picture of labels “${labels}” is not beside it`);
  const { data, info } = await sharp(picture)
    .removeAlpha()
    .toColourspace('b-w')
    .raw()
    .toBuffer({ resolveWithObject: true })
    .catch(() => {
      throw wrong(`“${labels}” is no picture`);
    });
  if (grid && Math.abs((info.width * grid.height) / (info.height * grid.width) - 1) > 0.02)
    throw wrong('the picture of labels has other proportions than the reference');
  const number = new Map(shapes.map((s, k) => [s.label, k + 1]));
  const plane: ShapePlane = {
    width: info.width,
    height: info.height,
    shapeOf: Uint8Array.from(
      { length: info.width * info.height },
      (_, i) => number.get(data[i * info.channels] as number) ?? 0,
    ),
    shapes: shapes.map(({ name, object, part, material, steps }) => ({
      name,
      object: object ?? objectOf({ name }),
      part: part ?? null,
      material,
      steps: steps ? { from: steps[0], to: steps[1] } : null,
    })),
    lights,
  };
  return { plane, ruleWins };
}
