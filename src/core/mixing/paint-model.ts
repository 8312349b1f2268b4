/**
 * Paint as absorption and scattering in three bands (red, green and blue of linear sRGB), per volume, where titanium
 * white scatters 1. Three bands are as many as a colour reading can settle; they hold the turn of yellow to green.
 */
import { labToLinearRgb, linearRgbToLab } from '../colour/lab';
import type { Triple } from '../colour/srgb';
import { type PaintId, PAINTS } from '../exercise/paints';
import { absorptionRatio, coveringReflectance, filmReflectance } from './kubelka-munk';
import { internalReflectance, seenReflectance, type SurfaceId } from './surface';

export interface PaintModel {
  readonly absorption: Triple;
  readonly scattering: Triple;
}

/** What a paint's model is made from: its colour from the tube and how strongly it tints. */
export interface PaintFigures {
  readonly massTone: Triple;
  readonly tinting: number;
}

/** Figures that stand in for the catalogue's where a studio knows its own paints better. */
export type Figures = Readonly<Partial<Record<PaintId, PaintFigures>>>;
/** Parts by volume. */
export type Parts = Readonly<Partial<Record<PaintId, number>>>;

/** Absorption in its strongest band of a paint that is not white and has tinting strength 1. */
const ABSORPTION_PER_TINTING = 2;
/** Fine white pigment scatters blue more than red, so that its greys go cool: about as the power -0.6 of the wavelength. */
const WHITE_SCATTERS: Triple = [0.94, 1, 1.13];
/** Scattering of titanium white for each millimetre of wet film: 0.15 mm then covers black to about 1.5 L*. */
export const SCATTER_PER_MM = 80;

const each = (make: (band: 0 | 1 | 2) => number): Triple => [make(0), make(1), make(2)];
/** No film is darker within, in any band; a colour outside sRGB would else make a paint of hardly any scattering. */
const DARKEST_BAND = 0.006;

/** What is known of a paint: the studio's own figures, else the catalogue's. */
export function figuresOf(id: PaintId, own: Figures = {}): PaintFigures {
  return own[id] ?? PAINTS[id];
}

/** The model behind figures. Mass tones are those of a satin surface, whatever the medium. */
export function modelOf({ massTone, tinting }: PaintFigures, white: boolean): PaintModel {
  const rgb = labToLinearRgb(massTone);
  const ratio = each((c) => absorptionRatio(Math.max(DARKEST_BAND, internalReflectance(rgb[c], 'satin'))));
  const scatter = white ? tinting : (ABSORPTION_PER_TINTING * tinting) / Math.max(...ratio);
  const scattering = each((c) => scatter * (white ? WHITE_SCATTERS[c] : 1));
  return { absorption: each((c) => scattering[c] * ratio[c]), scattering };
}

export const isWhite = (id: PaintId): boolean => PAINTS[id].family === 'white';

/** Models of the paints, by the studio's own figures where it has some. */
export type Palette = ReadonlyMap<PaintId, PaintModel>;
/** Models of some paints by the studio's own figures where it has some. */
export function paletteOf(paints: readonly PaintId[], own: Figures = {}): Palette {
  return new Map(paints.map((id) => [id, modelOf(figuresOf(id, own), isWhite(id))]));
}

/** Absorption and scattering add by volume. Throws RangeError on negative parts, none at all, or a paint that is not there. */
export function mixModel(palette: Palette, parts: Parts): PaintModel {
  const absorption: [number, number, number] = [0, 0, 0];
  const scattering: [number, number, number] = [0, 0, 0];
  let sum = 0;
  for (const [id, amount] of Object.entries(parts) as [PaintId, number][]) {
    if (!(amount >= 0)) throw new RangeError(`${PAINTS[id].name}: parts can’t be negative.`);
    const model = palette.get(id);
    if (!model) throw new RangeError(`${PAINTS[id].name} is not on this palette.`);
    sum += amount;
    for (const c of [0, 1, 2] as const) {
      absorption[c] += amount * model.absorption[c];
      scattering[c] += amount * model.scattering[c];
    }
  }
  if (sum <= 0) throw new RangeError('A mix needs at least one part of something.');
  return { absorption: each((c) => absorption[c] / sum), scattering: each((c) => scattering[c] / sum) };
}

/** Linear sRGB of a film that covers, dry. */
export function coveringRgb(model: PaintModel, surface: SurfaceId): Triple {
  return each((c) => seenReflectance(coveringReflectance(model.absorption[c], model.scattering[c]), surface));
}

export const coveringLab = (model: PaintModel, surface: SurfaceId): Triple =>
  linearRgbToLab(coveringRgb(model, surface));

/** Linear sRGB of a film of `mm` (as laid wet) over a ground of linear sRGB `ground`; of no thickness it is the ground. */
export function filmRgb(model: PaintModel, mm: number, ground: Triple, surface: SurfaceId): Triple {
  // A ground darker than a surface of its own would be has no reflectance within.
  if (mm === 0) return ground;
  return each((c) => {
    const below = internalReflectance(ground[c], surface);
    return seenReflectance(
      filmReflectance(model.absorption[c] * SCATTER_PER_MM, model.scattering[c] * SCATTER_PER_MM, mm, below),
      surface,
    );
  });
}

/** Layers of one thickness until one more changes the lightness by less than `settled` L*; at most 20. */
export function coatsToCover(model: PaintModel, mm: number, ground: Triple, surface: SurfaceId, settled = 1): number {
  const goal = coveringLab(model, surface)[0];
  for (let coats = 1; coats < 20; coats++)
    if (Math.abs(linearRgbToLab(filmRgb(model, coats * mm, ground, surface))[0] - goal) < settled) return coats;
  return 20;
}
