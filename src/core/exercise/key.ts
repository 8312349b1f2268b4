/** Where the values of a picture are to sit: which part of what paint reaches a key leaves, and how far a push moves them. */
import type { Judging } from './judging';
import type { Ends } from './scale';
import { targetLightnesses } from './targets';

/** Which part of the reach a key leaves, as shares from dark to light. */
const REACH: Record<Judging['key'], readonly [from: number, to: number]> = {
  full: [0, 1],
  high: [0.4, 1],
  middle: [0.2, 0.8],
  low: [0, 0.6],
};

/** The ends that a key leaves, L*. */
export function keyedEnds({ light, dark }: Ends, key: Judging['key']): Ends {
  const [from, to] = REACH[key];
  return { dark: dark + from * (light - dark), light: dark + to * (light - dark) };
}

/** A picture's values are counted in nine from end to end, as most classes count. */
export const PICTURE_STEPS = 9;

/** What a step of a picture is, L*. */
export const pictureStep = ({ light, dark }: Ends): number => (light - dark) / (PICTURE_STEPS - 1);

/** Values moved away from `middle` by a push, cut off at the ends; L*. Order is kept. */
export function pushed(value: number, middle: number, { light, dark }: Ends, pushPercent: number): number {
  return Math.min(light, Math.max(dark, middle + (1 + pushPercent / 100) * (value - middle)));
}

/** What each of so many tones is to be, the lightest first: evenly between the ends, moved away from their middle by the push. */
export function toneTargets(count: number, ends: Ends, pushPercent = 0): number[] {
  const middle = (ends.light + ends.dark) / 2;
  return targetLightnesses(count, ends, 'light-first', 'lightness').map((t) => pushed(t, middle, ends, pushPercent));
}

/** How values are to sit: the exercise's own choice where it makes one, else that of the picture as it was prepared. */
export type Sitting = Pick<Judging, 'key' | 'pushPercent'>;
/** The exercise's own choice of key and push (percent) where it makes one, else that of the picture as it was prepared. */
export function sittingOf(exercise: Sitting, prepared: Sitting | null): Sitting {
  return {
    key: exercise.key === 'full' ? (prepared?.key ?? 'full') : exercise.key,
    pushPercent: exercise.pushPercent === 0 ? (prepared?.pushPercent ?? 0) : exercise.pushPercent,
  };
}
