/** A picture as a whole, in words that it can be held beside others by: never place by place. */
import type { WholePicture } from '../painting/values/whole-picture';
import { capital, partOf } from './naming';

const COUNTS = ['no shape', 'one shape', 'two shapes', 'three shapes', 'four shapes', 'five shapes'];
const countOf = (n: number) => COUNTS[n] ?? 'many shapes';
const STEPS = [
  'no step',
  'one step',
  'two steps',
  'three steps',
  'four steps',
  'five steps',
  'six steps',
  'seven steps',
];
/** Twentieths of a picture that are left out at either end. */
const TAIL = 1;

/** How its lights, its middle and its darks share it. */
export function sayShares({ thirds }: WholePicture): string {
  const parts = (['light', 'middle', 'dark'] as const)
    .map((third) => ({ third, share: thirds[third] }))
    .filter(({ share }) => share >= 0.02)
    .sort((a, b) => b.share - a.share);
  const [first, ...rest] = parts.map(
    ({ third, share }) => `${(partOf(share) || 'all of ').replace(' of ', ' of it ')}${third}`,
  );
  return capital([first, ...rest].join(', '));
}

/** How its lights and its darks hang together. */
export const sayPattern = ({ lights, darks }: WholePicture): string =>
  `Its lights lie in ${countOf(lights?.pieces ?? 0)}, its darks in ${countOf(darks?.pieces ?? 0)}`;

/** How far it pushes contrast, in steps (L*) of the exercise. */
export function sayPush({ curve }: WholePicture, step: number): string {
  const range = (curve.at(-1 - TAIL) ?? 0) - (curve[TAIL] ?? 0);
  return `From dark to light it goes ${STEPS[Math.round(range / step)] ?? 'eight steps'}`;
}
