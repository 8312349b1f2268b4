/**
 * Generic paints as a studio keeps them. Figures are rough estimates to begin from: colour of the paint as it
 * comes from the tube, how strongly it tints, how fast its oil film dries.
 */
import type { Triple } from '../colour/srgb';

export type Hazard = 'cadmium' | 'cobalt' | 'lead' | 'other-metal';

export interface Paint {
  readonly name: string;
  readonly family: 'white' | 'black' | 'earth' | 'hue';
  /** L*a*b* of a covering film, dry, with a satin surface. */
  readonly massTone: Triple;
  /**
   * Of a white how strongly it lightens, of all others how strongly they darken, by volume: titanium white and a paint
   * a quarter as strong as ivory black are 1.
   */
  readonly tinting: number;
  readonly drying: 'fast' | 'middling' | 'slow';
  readonly hazard: Hazard | null;
}

const paint = (
  name: string,
  family: Paint['family'],
  massTone: Triple,
  tinting: number,
  drying: Paint['drying'],
  hazard: Hazard | null = null,
): Paint => ({ name, family, massTone, tinting, drying, hazard });

export const PAINTS = {
  'titanium-white': paint('titanium white', 'white', [97, -0.5, 1.2], 1, 'slow'),
  'zinc-white': paint('zinc white', 'white', [95, -0.8, 1.5], 0.4, 'slow'),
  'lead-white': paint('lead white', 'white', [94, -0.6, 3.2], 0.6, 'fast', 'lead'),
  'ivory-black': paint('ivory black', 'black', [16, 0.3, 0.6], 4, 'slow'),
  'mars-black': paint('mars black', 'black', [17, 0.4, 0.2], 6, 'middling'),
  'lamp-black': paint('lamp black', 'black', [14, 0.1, -0.8], 7, 'slow'),
  'lemon-yellow': paint('lemon yellow', 'hue', [88, -8, 78], 1, 'middling'),
  'cadmium-yellow': paint('cadmium yellow', 'hue', [80, 14, 84], 1.6, 'slow', 'cadmium'),
  'cadmium-red': paint('cadmium red', 'hue', [45, 60, 42], 2, 'slow', 'cadmium'),
  'rose-madder-hue': paint('rose', 'hue', [33, 50, 16], 2.4, 'middling'),
  'dioxazine-violet': paint('violet', 'hue', [15, 18, -22], 6, 'middling'),
  ultramarine: paint('ultramarine', 'hue', [22, 24, -56], 2, 'middling'),
  'cobalt-blue': paint('cobalt blue', 'hue', [35, 8, -48], 1.2, 'fast', 'cobalt'),
  'phthalo-blue': paint('phthalo blue', 'hue', [17, 8, -30], 8, 'middling'),
  'cerulean-blue': paint('cerulean blue', 'hue', [45, -14, -36], 0.9, 'middling', 'cobalt'),
  viridian: paint('viridian', 'hue', [28, -24, 2], 1.4, 'middling', 'other-metal'),
  'phthalo-green': paint('phthalo green', 'hue', [20, -18, -1], 7, 'middling'),
  'leaf-green': paint('leaf green', 'hue', [50, -32, 40], 1.5, 'middling'),
  'yellow-ochre': paint('yellow ochre', 'earth', [62, 14, 48], 0.9, 'middling'),
  'raw-sienna': paint('raw sienna', 'earth', [48, 14, 36], 0.8, 'middling'),
  'burnt-sienna': paint('burnt sienna', 'earth', [32, 24, 26], 1.6, 'fast'),
  'venetian-red': paint('venetian red', 'earth', [38, 34, 28], 3, 'fast'),
  'raw-umber': paint('raw umber', 'earth', [26, 4, 10], 1.4, 'fast'),
  'burnt-umber': paint('burnt umber', 'earth', [22, 9, 10], 2, 'fast'),
} as const satisfies Record<string, Paint>;

export type PaintId = keyof typeof PAINTS;
export const PAINT_IDS = Object.keys(PAINTS) as [PaintId, ...PaintId[]];
