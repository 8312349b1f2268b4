/** What an exercise is painted with, as far as cautions and quantities need it. */
import { z } from 'zod';
import { PAINT_IDS } from './paints';

export const THINNERS = ['none', 'water', 'oil', 'solvent'] as const;

export const materialsSchema = z.object({
  paints: z.array(z.enum(PAINT_IDS)).max(24),
  thinner: z.enum(THINNERS),
  varnish: z.boolean(),
  /** Spray or fixative. */
  sprays: z.boolean(),
  /** Palette knives and scrapers that cut. */
  blades: z.boolean(),
});
export type Materials = z.infer<typeof materialsSchema>;

export const USUAL_MATERIALS: Materials = {
  paints: ['titanium-white', 'ivory-black'],
  thinner: 'none',
  varnish: false,
  sprays: false,
  blades: false,
};
