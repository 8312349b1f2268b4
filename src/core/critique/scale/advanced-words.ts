/** What those who have painted for long are told about a scale. */
import { inSteps } from '../amounts';
import { list } from '../naming';
import type { Catalogue } from '../rule';
import type { ScaleFacts } from './facts';
import { BEGINNERS, namesOf, praise, type ScaleNames } from './words';

export const ADVANCED: Catalogue<ScaleFacts, ScaleNames> = {
  ...BEGINNERS,
  works_even: praise(() => ['The intervals are even throughout.', 'Every interval matches its neighbours.']),
  works_ends: praise(() => 'Both ends reach what the paint can give.'),
  works_flat: praise(() => 'Flat, opaque passages, edge to edge.'),
  weak_black: {
    say: ({ error }) => `The dark end falls short by ${inSteps(error)}, and compresses the lower intervals.`,
    do: ({ cause }, names) => `Restate ${list(namesOf(names, cause.steps))} opaque, straight from the tube.`,
  },
  weak_white: {
    say: ({ error }) => `The light end is contaminated: ${inSteps(error)} too low.`,
    do: ({ cause }, names) => `Restate ${list(namesOf(names, cause.steps))} with clean white and a clean brush.`,
  },
};
