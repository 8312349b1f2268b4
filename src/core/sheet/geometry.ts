/** The geometry of a sheet as JSON for other programs, and the schema to read it back. */
import { z } from 'zod';
import { cardLightness, type CardEnds } from './card';
import { cardColour } from './chroma';
import type { ScaleLayout } from './scale-layout';

const box = { xMm: z.number(), yMm: z.number(), widthMm: z.number(), heightMm: z.number() };
const indexed = z.object({ index: z.number().int(), ...box });

export const geometrySchema = z.object({
  widthMm: z.number(),
  heightMm: z.number(),
  dpi: z.number(),
  layout: z.string(),
  cells: z.array(indexed),
  dabs: z.array(indexed),
  patches: z.array(z.object({ ...box, lightness: z.number(), a: z.number(), b: z.number() })),
  markers: z.array(z.object({ id: z.number().int(), xMm: z.number(), yMm: z.number(), sizeMm: z.number() })),
});
export type Geometry = z.infer<typeof geometrySchema>;

/** Geometry of a scale sheet; `ends` are the paper and black of the card it is read against. */
export function geometryOf(layout: ScaleLayout, dpi: number, ends?: CardEnds): Geometry {
  return {
    widthMm: layout.widthMm,
    heightMm: layout.heightMm,
    dpi,
    layout: `FG1:scale:${layout.steps}:${layout.paper}`,
    cells: layout.cells.map((c) => ({ ...c })),
    dabs: layout.dabs.map((d) => ({ ...d })),
    patches: layout.patches
      .map(({ xMm, yMm, widthMm, heightMm, code }) => ({
        xMm,
        yMm,
        widthMm,
        heightMm,
        lightness: cardLightness(code, ends),
        a: 0,
        b: 0,
      }))
      .concat(
        layout.chroma.map(({ xMm, yMm, widthMm, heightMm, rgb }) => {
          const [lightness, a, b] = cardColour(rgb, ends);
          return { xMm, yMm, widthMm, heightMm, lightness, a, b };
        }),
      ),
    markers: layout.markers.map((m) => ({ ...m })),
  };
}
