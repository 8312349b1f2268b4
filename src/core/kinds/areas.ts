/** How much is to be painted of each value, and the paint that takes. */
import { bandPicture } from '../bands/band-picture';
import { type ExerciseTerms, isStepped } from '../exercise/terms';
import { exerciseLayout } from './exercise-layout';
import { valuesOf } from './kinds';

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
