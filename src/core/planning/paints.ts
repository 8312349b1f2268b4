/**
 * Generic paints as a studio keeps them. Figures are rough estimates to plan with: lightness of the paint as it
 * comes from the tube, how strongly it tints (titanium white 1), how fast its oil film dries.
 */
export type Hazard = 'cadmium' | 'cobalt' | 'lead' | 'other-metal';

export interface Paint {
  readonly name: string;
  readonly family: 'white' | 'black' | 'earth' | 'hue';
  /** L* of a covering film, dry. */
  readonly lightness: number;
  readonly tinting: number;
  readonly drying: 'fast' | 'middling' | 'slow';
  readonly hazard: Hazard | null;
}

const paint = (name: string, family: Paint['family'], lightness: number, tinting: number, drying: Paint['drying'], hazard: Hazard | null = null): Paint => ({ name, family, lightness, tinting, drying, hazard });

export const PAINTS = {
  'titanium-white': paint('titanium white', 'white', 97, 1, 'slow'),
  'zinc-white': paint('zinc white', 'white', 95, 0.4, 'slow'),
  'lead-white': paint('lead white', 'white', 94, 0.6, 'fast', 'lead'),
  'ivory-black': paint('ivory black', 'black', 16, 4, 'slow'),
  'mars-black': paint('mars black', 'black', 17, 6, 'middling'),
  'lamp-black': paint('lamp black', 'black', 14, 7, 'slow'),
  'lemon-yellow': paint('lemon yellow', 'hue', 88, 1, 'middling'),
  'cadmium-yellow': paint('cadmium yellow', 'hue', 80, 1.6, 'slow', 'cadmium'),
  'cadmium-red': paint('cadmium red', 'hue', 45, 2, 'slow', 'cadmium'),
  'rose-madder-hue': paint('rose', 'hue', 33, 2.4, 'middling'),
  'dioxazine-violet': paint('violet', 'hue', 15, 6, 'middling'),
  'ultramarine': paint('ultramarine', 'hue', 22, 2, 'middling'),
  'cobalt-blue': paint('cobalt blue', 'hue', 35, 1.2, 'fast', 'cobalt'),
  'phthalo-blue': paint('phthalo blue', 'hue', 17, 8, 'middling'),
  'cerulean-blue': paint('cerulean blue', 'hue', 45, 0.9, 'middling', 'cobalt'),
  'viridian': paint('viridian', 'hue', 28, 1.4, 'middling', 'other-metal'),
  'phthalo-green': paint('phthalo green', 'hue', 20, 7, 'middling'),
  'leaf-green': paint('leaf green', 'hue', 50, 1.5, 'middling'),
  'yellow-ochre': paint('yellow ochre', 'earth', 62, 0.9, 'middling'),
  'raw-sienna': paint('raw sienna', 'earth', 48, 0.8, 'middling'),
  'burnt-sienna': paint('burnt sienna', 'earth', 32, 1.6, 'fast'),
  'venetian-red': paint('venetian red', 'earth', 38, 3, 'fast'),
  'raw-umber': paint('raw umber', 'earth', 26, 1.4, 'fast'),
  'burnt-umber': paint('burnt umber', 'earth', 22, 2, 'fast'),
} as const satisfies Record<string, Paint>;

export type PaintId = keyof typeof PAINTS;
export const PAINT_IDS = Object.keys(PAINTS) as [PaintId, ...PaintId[]];
