/** Tones are numbered as a scale of as many steps is, the lightest first. */
import type { NumberedScale } from '../../exercise/numbering';
import type { Ends } from '../../exercise/scale';

export const numberedTones = (tones: number, ends: Ends): NumberedScale => ({
  steps: tones,
  order: 'light-first',
  spacing: 'lightness',
  ends,
});
