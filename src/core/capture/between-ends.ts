/** Where lightness is placed of which only order and gaps are known: what was read lightest and darkest comes to lie on two ends. */
import { lightnessToLuminance, luminanceToLightness } from '../colour/lab';
import { anchorOf } from './open-corners';

interface LightAndDark {
  readonly light: number;
  readonly dark: number;
}

/** Of a lightness as read, the one that it is placed at; all L*. */
export function placedBetween(read: LightAndDark, ends: LightAndDark): (lightness: number) => number {
  const inLight = ({ light, dark }: LightAndDark) => ({
    light: lightnessToLuminance(light),
    dark: lightnessToLuminance(dark),
  });
  const { gain, offset } = anchorOf(inLight(read), inLight(ends));
  return (lightness) => luminanceToLightness(gain * (lightnessToLuminance(lightness) - offset));
}
