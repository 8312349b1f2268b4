/** Target lightness of each step of a scale. */
import { lightnessToMunsellValue, munsellValueToLightness } from '../colour/munsell';
import type { Ends, ReadingOrder, Spacing } from './scale';

/** Where the pure colour of a monochrome scale stands: on the middle step, or on the step that is as light as it is. */
export const PURE_COLOUR_AT = ['middle-step', 'own-value'] as const;
export type PureAt = (typeof PURE_COLOUR_AT)[number];

/**
 * Targets (L*) in reading order, evenly spaced between the ends in lightness or in Munsell value.
 * Throws RangeError below two steps.
 */
export function targetLightnesses(steps: number, ends: Ends, order: ReadingOrder, spacing: Spacing): number[] {
  if (steps < 2) throw new RangeError(`A scale needs at least 2 steps, got ${steps}.`);
  const [first, last] = order === 'light-first' ? [ends.light, ends.dark] : [ends.dark, ends.light];
  const munsell = spacing === 'munsell';
  const a = munsell ? lightnessToMunsellValue(first) : first;
  const b = munsell ? lightnessToMunsellValue(last) : last;
  return Array.from({ length: steps }, (_, i) => {
    if (i === 0) return first;
    if (i === steps - 1) return last;
    const at = a + ((b - a) * i) / (steps - 1);
    return munsell ? munsellValueToLightness(at) : at;
  });
}

/** The step (from 1, light to dark) at which the pure colour stands: never an end. */
export function pureStep(lightFirst: readonly number[], pureLightness: number, at: PureAt): number {
  const steps = lightFirst.length;
  if (at === 'middle-step') return Math.ceil(steps / 2);
  const offs = lightFirst.map((t) => Math.abs(t - pureLightness));
  const nearest = offs.indexOf(Math.min(...offs)) + 1;
  return Math.min(steps - 1, Math.max(2, nearest));
}

/** Targets that run straight from each end to the pure colour, which keeps its own lightness. */
export function targetsThrough(lightFirst: readonly number[], pureLightness: number, step: number): number[] {
  const [light, dark] = [lightFirst[0] as number, lightFirst.at(-1) as number];
  const steps = lightFirst.length;
  return lightFirst.map((_, i) =>
    i < step
      ? light + ((pureLightness - light) * i) / (step - 1)
      : pureLightness + ((dark - pureLightness) * (i + 1 - step)) / (steps - step),
  );
}

/** Targets in reading order that run straight to the pure colour, and the step (from the lightest) it stands at. */
export function throughPure(
  targets: readonly number[],
  order: ReadingOrder,
  pureLightness: number,
  at: PureAt,
): { targets: number[]; step: number } {
  const turned = (list: readonly number[]) => (order === 'light-first' ? [...list] : [...list].reverse());
  const lightFirst = turned(targets);
  const step = pureStep(lightFirst, pureLightness, at);
  return { targets: turned(targetsThrough(lightFirst, pureLightness, step)), step };
}
