/** How much is to be painted of each value, and the paint that takes. */
import { bandPicture } from '../bands/band-picture';
import { valuesOf } from '../exercise/kinds';
import type { MediumId } from '../exercise/media';
import { type ExerciseTerms, isStepped } from '../exercise/terms';
import { exerciseLayout } from '../sheet/exercise-layout';

/** Thickness of a covering wet film, mm. */
export const FILM_MM: Record<MediumId, number> = { gouache: 0.15, tempera: 0.15, acrylic: 0.15, oil: 0.3 };
/** What stays on palette and brush, as a share of what is painted. */
export const WASTE = 0.75;

export interface ValueArea {
  readonly lightness: number;
  readonly areaMm2: number;
}

/** What is to be painted, by value. A picture is taken to use its values in equal parts. */
export function areasOf(terms: ExerciseTerms): ValueArea[] {
  const values = valuesOf(terms);
  if (terms.kind === 'bands') {
    const lightFirst = [...values].sort((a, b) => b - a);
    const picture = bandPicture(terms);
    const bands = picture.bands.map((b, i) => ({ lightness: lightFirst[i] ?? 50, areaMm2: b.areaMm2 }));
    return picture.silhouette ? [...bands, { lightness: terms.ends.dark, areaMm2: picture.silhouette.areaMm2 }] : bands;
  }
  const layout = exerciseLayout(terms);
  const places = [...layout.cells.map((c) => c.widthMm * c.heightMm)];
  const dabs = layout.dabs.reduce((sum, d) => sum + d.widthMm * d.heightMm, 0) / values.length;
  if (isStepped(terms)) return values.map((lightness, i) => ({ lightness, areaMm2: (places[i] ?? 0) + dabs }));
  const whole = places.reduce((a, b) => a + b, 0);
  return values.map((lightness) => ({ lightness, areaMm2: whole / values.length + dabs }));
}

/** Paint for an area, waste included, ml. */
export const millilitres = (areaMm2: number, medium: MediumId): number =>
  (areaMm2 * FILM_MM[medium] * (1 + WASTE)) / 1000;
