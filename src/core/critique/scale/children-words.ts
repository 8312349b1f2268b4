/** What children are told about a scale: short words, one thing at a time. */
import { inSteps } from '../amounts';
import { capital, list } from '../naming';
import type { Catalogue, Words } from '../rule';
import type { ScaleFacts, StepFacts, ValueFacts } from './facts';
import { nameOf, namesOf, praise, type ScaleNames } from './words';

const stepsOf = ({ cause }: ValueFacts, names: ScaleNames): string => {
  const labels = namesOf(names, cause.steps);
  return `${labels.length > 1 ? 'steps' : 'step'} ${list(labels)}`;
};

const remix = (facts: ValueFacts, names: ScaleNames): string =>
  `Mix ${stepsOf(facts, names)} again, ${inSteps(facts.error)} ${facts.error > 0 ? 'darker' : 'lighter'}. Then look.`;

const pair = ({ cause }: ValueFacts, names: ScaleNames): string =>
  cause.pair ? `Steps ${nameOf(names, cause.pair[0])} and ${nameOf(names, cause.pair[1])}` : 'Two steps';

const ofStep = (say: (label: string) => string, act: string): Words<StepFacts, ScaleNames> => ({
  say: ({ step }, names) => say(nameOf(names, step.index)),
  do: () => act,
});

export const CHILDREN: Catalogue<ScaleFacts, ScaleNames> = {
  works_even: praise(() => ['Your steps go evenly from light to dark.', 'Each step is the same jump. Well done!']),
  works_even_part: praise(
    ({ from, to }, names) => `Your steps are even from ${nameOf(names, from)} to ${nameOf(names, to)}.`,
  ),
  works_ends: praise(() => ['Your white is clean, and your black is really black.', 'Both ends are just right.']),
  works_black: praise(() => 'Your black is as dark as it can be.'),
  works_white: praise(() => 'Your white is clean.'),
  works_order: praise(() => 'Your greys are all in the right order.'),
  works_flat: praise(() => ['Your paint is smooth and thick.', 'You filled each box well.']),
  works_on_target: praise(({ steps }, names) => `Just right: ${list(namesOf(names, steps))}.`),
  weak_black: {
    say: () => 'Your black is still grey.',
    do: (facts, names) => `Paint ${stepsOf(facts, names)} again with pure black, nice and thick.`,
  },
  weak_white: {
    say: () => 'Your white is a bit grey.',
    do: (facts, names) => `Wash your brush. Then paint ${stepsOf(facts, names)} again with clean white.`,
  },
  reversed: {
    say: (facts, names) => `${pair(facts, names)} have swapped places.`,
    do: (facts, names) => `Mix ${stepsOf(facts, names)} again, and squint at them first.`,
  },
  too_close: { say: (facts, names) => `${pair(facts, names)} look almost the same.`, do: remix },
  too_wide: { say: (facts, names) => `${pair(facts, names)} are too far apart.`, do: remix },
  off_target: {
    say: (facts, names) =>
      `${capital(stepsOf(facts, names))} ${facts.cause.steps.length > 1 ? 'are' : 'is'} too ${facts.error > 0 ? 'light' : 'dark'}.`,
    do: remix,
  },
  streaky: ofStep((label) => `Step ${label} has stripes in it.`, 'Stir the paint well. Then brush all one way.'),
  bare_ground: ofStep((label) => `I can see the paper in step ${label}.`, 'Give it one more coat.'),
  over_the_line: ofStep(
    (label) => `The paint of step ${label} ran over the line.`,
    'Paint the edge first, and then fill it in.',
  ),
  built_up_edge: ofStep(
    (label) => `The paint is thick at the edge of step ${label}.`,
    'Dry your brush, and wipe the edge with it.',
  ),
  line_shows: ofStep((label) => `I can see the line round step ${label}.`, 'Paint just over the line.'),
  drift_warm: ofStep(
    (label) => `Step ${label} looks a bit warm.`,
    'Wash your brush, and mix it again from clean white.',
  ),
  drift_cool: ofStep((label) => `Step ${label} looks a bit blue.`, 'Mix it again with the same black as the rest.'),
  hue_turn: ofStep(
    (label) => `Step ${label} is not the same colour as the rest.`,
    'Start from the pure colour, and mix in white or black bit by bit.',
  ),
  chip_misplaced: {
    say: ({ chip }, names) => `The colour at ${nameOf(names, chip.step)} belongs to ${nameOf(names, chip.nearest)}.`,
    do: ({ chip }, names) => `Hold it next to ${nameOf(names, chip.nearest)}, and squint. Can you still see the edge?`,
  },
  silhouette_not_solid: {
    say: () => 'The dark shape in front has holes in it.',
    do: () => 'Give it one more coat of black.',
  },
};
