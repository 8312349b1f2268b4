/**
 * How a class numbers its values. The database and the core keep L* and steps as read; a numbering is
 * applied only when something is shown or said.
 */
import { lightnessToMunsellValue } from '../colour/munsell';
import type { Ends, ReadingOrder, Spacing } from './scale';
import { targetLightnesses } from './targets';

export const NUMBERINGS = {
  'white-is-one': 'Step 1 is white',
  'black-is-one': 'Step 1 is black',
  'ten-is-white': '0 to 10, 10 is white (Munsell value)',
  'percent-black': 'Percent black',
} as const;
export type NumberingId = keyof typeof NUMBERINGS;
export const NUMBERING_IDS = Object.keys(NUMBERINGS) as [NumberingId, ...NumberingId[]];

export interface NumberedScale {
  readonly steps: number;
  readonly order: ReadingOrder;
  readonly spacing: Spacing;
  readonly ends: Ends;
}

/** The labels of a scale's steps in reading order (index 0 is the first cell). */
export function stepLabels(numbering: NumberingId, scale: NumberedScale): string[] {
  const targets = targetLightnesses(scale.steps, scale.ends, scale.order, scale.spacing);
  return targets.map((target, i) => {
    const fromWhite = scale.order === 'light-first' ? i + 1 : scale.steps - i;
    switch (numbering) {
      case 'white-is-one':
        return String(fromWhite);
      case 'black-is-one':
        return String(scale.steps + 1 - fromWhite);
      case 'ten-is-white':
      case 'percent-black':
        return valueLabel(numbering, target, scale.ends);
    }
  });
}

/** One lightness said in a class's numbering; numberings that only count steps fall back to L*. */
export function valueLabel(numbering: NumberingId, lightness: number, ends: Ends): string {
  switch (numbering) {
    case 'ten-is-white':
      return lightnessToMunsellValue(lightness).toFixed(1);
    case 'percent-black':
      return `${Math.round((100 * (ends.light - lightness)) / (ends.light - ends.dark))} %`;
    case 'white-is-one':
    case 'black-is-one':
      return `L* ${lightness.toFixed(0)}`;
  }
}
