/** What those who have painted for long are told: in the terms of the trade, and without what they know already. */
import { inSteps } from '../../amounts';
import { capital, massName, place } from '../../naming';
import { praise } from '../../plain-words';
import type { Catalogue } from '../../rule';
import type { PaintingFacts } from '../facts';
import { BEGINNERS, type NoNames } from './beginners';

export const ADVANCED: Catalogue<PaintingFacts, NoNames> = {
  ...BEGINNERS,
  drawing_holds: praise(
    'The drawing is sound throughout: placement, proportion and slant.',
    'Placement and proportion hold against the reference.',
  ),
  values_hold: praise(
    'The value relationships hold from end to end.',
    'No local value breaks the structure: the relationships carry.',
  ),
  range_holds: praise('The full range is used, from accent to highlight.', 'The key is set and kept at both ends.'),
  form_holds: praise('Light and shadow families stay apart on every form.'),
  masses_apart: praise('Two masses, cleanly separated at squint.'),
  colours_hold: praise('Temperature and chroma hold beside the values.'),
  part_off: {
    say: ({ part: { shape, box }, steps }) => {
      const what = capital(shape === null ? `the passage ${place(box)}` : massName(shape));
      const way = steps > 0 ? 'high' : 'low';
      return [
        `${what} is pitched ${inSteps(steps)} too ${way} for its surroundings.`,
        `${what} sits ${inSteps(steps)} too ${way} in the key.`,
      ];
    },
    do: ({ steps }) => `Restate it ${inSteps(steps)} ${steps > 0 ? 'lower' : 'higher'}; leave its edges as they are.`,
  },
  range_short: {
    say: ({ short }) =>
      `The range is compressed, from the ${short.dark > short.light ? 'dark' : 'light'} end above all.`,
    do: ({ short }) =>
      short.dark > short.light
        ? 'Place the darkest accent, and re-key the halftones against it.'
        : 'Place the highlight, and re-key the lights against it.',
  },
  all_lighter: {
    say: () => 'The whole is keyed up; its parts are judged relative to that.',
    do: () => 'Set the darkest accent first next time, and key down from there.',
  },
  all_darker: {
    say: () => 'The whole is keyed down; its parts are judged relative to that.',
    do: () => 'Set the highlight first next time, and key up from there.',
  },
  middle_crowded: {
    say: () => 'The values bunch in the halftones: neither end is claimed.',
    do: () => 'Commit one large mass to the dark end and one to the light; leave the halftones alone.',
  },
  gradient_off: {
    ...BEGINNERS.gradient_off,
    do: ({ fault }) =>
      fault === 'flat' || fault === 'uneven'
        ? 'State both of its planes, and let the turning lie between them.'
        : 'Re-read the direction of the light, and turn the form by its planes.',
  },
  contrast_off: {
    say: ({ contrast: { between }, steps, shouts }) =>
      shouts !== null
        ? `${capital(massName(shouts))} competes with the focus.`
        : `The interval between ${between.map(massName).join(' and ')} is too ${steps > 0 ? 'wide' : 'narrow'}.`,
    do: ({ steps }) =>
      steps > 0
        ? 'Close the interval at the shared edge before you touch either mass.'
        : 'Open the interval at the shared edge before you touch either mass.',
  },
  feature_moved: {
    ...BEGINNERS.feature_moved,
    do: () => 'Check it by a plumb line and by the negative shapes on either side.',
  },
  gap_off: {
    ...BEGINNERS.gap_off,
    do: () => 'Restate the negative shape.',
  },
};
