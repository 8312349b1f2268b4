/** The sentences of a scale critique, one entry a code: what is seen, and one thing to do about it. */
import type { MeasuredChip } from '../../scale/result';
import { inSteps } from '../amounts';
import { list } from '../naming';
import type { Catalogue, Words } from '../rule';
import type { Said } from '../voice';
import type { ChipFacts, ScaleFacts, StepFacts, ValueFacts } from './facts';

/** What the class calls the steps of this scale. */
export interface ScaleNames {
  /** In reading order. */
  readonly labels: readonly string[];
  /** Whether step 1 is the white end. */
  readonly lightFirst: boolean;
}

export const nameOf = ({ labels }: ScaleNames, step: number): string => labels[step - 1] ?? String(step);
export const namesOf = (names: ScaleNames, steps: readonly number[]): string[] => steps.map((s) => nameOf(names, s));
const named = (labels: readonly string[]) => `${labels.length > 1 ? 'Steps' : 'Step'} ${list(labels)}`;
const isAre = (labels: readonly string[]) => (labels.length > 1 ? 'are' : 'is');
/** What one step does, or several do. */
function ofSteps({ cause }: ValueFacts, names: ScaleNames, one: string, several: string): string {
  const steps = namesOf(names, cause.steps);
  return `${named(steps)} ${steps.length > 1 ? several : one}.`;
}
const wayOf = (error: number) => (error > 0 ? 'darker' : 'lighter');

function remix({ cause, error }: ValueFacts, names: ScaleNames): string {
  const how = error > 0 ? 'a little black, then look' : 'more white, then look';
  const what = named(namesOf(names, cause.steps)).toLowerCase();
  return `Mix ${what} once more, ${inSteps(error)} ${wayOf(error)}: ${how}.`;
}

/** Both steps of a pair by name, or null for what is no pair. */
function pairOf({ cause }: ValueFacts, names: ScaleNames): readonly [string, string] | null {
  return cause.pair && [nameOf(names, cause.pair[0]), nameOf(names, cause.pair[1])];
}
/** Width of the gap in even gaps. */
const widthOf = ({ gap }: ValueFacts) => (gap && gap.ideal > 0 ? gap.gap / gap.ideal : 0);
/** Closer than this, in steps, two greys look alike. */
const ALIKE = 0.18;

const weakBlack: Words<ValueFacts, ScaleNames> = {
  say: ({ cause, error }, names) => {
    const steps = namesOf(names, cause.steps);
    const short = `${named(steps).toLowerCase()} ${isAre(steps)} ${inSteps(error)} lighter than this paint can go`;
    return `The black does not get down: ${short}, and the scale is squeezed from below.`;
  },
  do: ({ cause }, names) =>
    `Paint step ${list(namesOf(names, cause.steps))} again with black as it comes from the tube, thick enough that no white shines through.`,
};

const weakWhite: Words<ValueFacts, ScaleNames> = {
  say: ({ error }) => `The white end is ${inSteps(error)} too dark, so the scale starts too low.`,
  do: ({ cause }, names) => `Paint step ${list(namesOf(names, cause.steps))} again with clean white and a clean brush.`,
};

const reversed: Words<ValueFacts, ScaleNames> = {
  say: (facts, names) => {
    const pair = pairOf(facts, names);
    if (!pair) return ofSteps(facts, names, 'breaks the order of the scale', 'break the order of the scale');
    const which = names.lightFirst ? 'lighter' : 'darker';
    return `Steps ${pair[0]} and ${pair[1]} stand the wrong way round: ${pair[1]} is the ${which} of the two.`;
  },
  do: (facts, names) => {
    const { steps, pair } = facts.cause;
    if (!pair?.every((s) => steps.includes(s))) return remix(facts, names);
    return `Mix ${list(namesOf(names, steps))} again side by side, and squint at both before you paint them.`;
  },
};

const tooClose: Words<ValueFacts, ScaleNames> = {
  say: (facts, names) => {
    const pair = pairOf(facts, names);
    if (!pair) return ofSteps(facts, names, 'sits too close to its neighbours', 'sit too close to their neighbours');
    if (widthOf(facts) < ALIKE) return `Steps ${pair[0]} and ${pair[1]} are almost the same grey.`;
    return `Steps ${pair[0]} and ${pair[1]} are too close: ${inSteps(widthOf(facts))} lies between them.`;
  },
  do: remix,
};

const tooWide: Words<ValueFacts, ScaleNames> = {
  say: (facts, names) => {
    const pair = pairOf(facts, names);
    if (!pair) return ofSteps(facts, names, 'leaves a jump beside it', 'leave a jump beside them');
    return `Between ${pair[0]} and ${pair[1]} the scale jumps by ${inSteps(widthOf(facts))}.`;
  },
  do: remix,
};

const offTarget: Words<ValueFacts, ScaleNames> = {
  say: ({ cause, error }, names) => {
    const steps = namesOf(names, cause.steps);
    return `${named(steps)} ${isAre(steps)} ${inSteps(error)} too ${error > 0 ? 'light' : 'dark'}.`;
  },
  do: remix,
};

/** What is said of one step, by its name. */
const ofStep = (say: (label: string) => string, act: (label: string) => string): Words<StepFacts, ScaleNames> => ({
  say: ({ step }, names) => say(nameOf(names, step.index)),
  do: ({ step }, names) => act(nameOf(names, step.index)),
});

/** A chip of colour that lies under a grey which is not as light, by what kind of colour it is. */
const CHIPS: Record<MeasuredChip['what'], { readonly name: string; readonly why: string }> = {
  pure: { name: 'strong colour', why: '; strong colours look lighter than they are' },
  tint: { name: 'tint', why: '' },
  dark: { name: 'dulled colour', why: '' },
  grey: { name: 'grey chip', why: '' },
};
const chipMisplaced: Words<ChipFacts, ScaleNames> = {
  say: ({ chip }, names) => {
    const { name, why } = CHIPS[chip.what];
    const darker = chip.nearest > chip.step === names.lightFirst;
    return `The ${name} under ${nameOf(names, chip.step)} is as ${darker ? 'dark' : 'light'} as ${nameOf(names, chip.nearest)}${why}.`;
  },
  do: ({ chip }, names) =>
    `Lay it beside ${nameOf(names, chip.nearest)} and squint: where the seam goes, it is at home.`,
};

export const praise = <F>(say: (facts: F, names: ScaleNames) => Said): Words<F, ScaleNames> => ({
  say,
  do: () => null,
});

export const BEGINNERS: Catalogue<ScaleFacts, ScaleNames> = {
  works_even: praise(() => [
    'The steps run evenly from one end to the other, with no jump and no two alike.',
    'Even steps all the way: no jump, and no two alike.',
    'From white to black each step is as large as the next.',
  ]),
  works_even_part: praise(
    ({ from, to }, names) => `From ${nameOf(names, from)} to ${nameOf(names, to)} the steps are even.`,
  ),
  works_ends: praise(() => [
    'Both ends are where the paint can go: a clean white and a real black.',
    'A clean white at one end, a real black at the other.',
  ]),
  works_black: praise(() => 'The black is a real black: as dark as the paint goes.'),
  works_white: praise(() => 'The white is clean.'),
  works_order: praise(() => 'The order holds from one end to the other.'),
  works_flat: praise(() => [
    'The paint lies flat and covers, from edge to edge.',
    'Well laid: flat, covering, and clean at the edges.',
  ]),
  works_on_target: praise(({ steps }, names) => `Right on the value: ${list(namesOf(names, steps))}.`),
  weak_black: weakBlack,
  weak_white: weakWhite,
  reversed,
  too_close: tooClose,
  too_wide: tooWide,
  off_target: offTarget,
  streaky: ofStep(
    (label) => `Step ${label} is streaky: the mix was not stirred right through, or the brush still held another.`,
    (label) => `Stir the mix for step ${label} until no streak shows on the palette, then lay it on in one direction.`,
  ),
  bare_ground: ofStep(
    (label) => `In step ${label} the paper shows through the paint.`,
    (label) => `Give step ${label} a second coat of the same mix, thick enough to cover.`,
  ),
  over_the_line: ofStep(
    (label) => `The paint of step ${label} runs past its line.`,
    (label) => `Cut the edge of step ${label} first with a flat brush, then fill the middle.`,
  ),
  built_up_edge: ofStep(
    (label) => `Paint has gathered along the edge of step ${label}, so that its rim is another grey than its middle.`,
    (label) => `Take up what gathers at the edge of step ${label} with a dry brush before it sets, or use less water.`,
  ),
  line_shows: ofStep(
    (label) => `The printed line still shows round step ${label}.`,
    (label) => `Bring the paint of step ${label} just over its line.`,
  ),
  drift_warm: ofStep(
    (label) => `Step ${label} leans warm beside its neighbours.`,
    (label) => `Rinse the brush and mix step ${label} once more from clean white and the same black as the others.`,
  ),
  drift_cool: ofStep(
    (label) => `Step ${label} leans cool beside its neighbours.`,
    (label) =>
      `Mix step ${label} once more with the same black as the others; a touch of an earth colour brings it back.`,
  ),
  hue_turn: ofStep(
    (label) => `The colour turns in step ${label}: it is no longer the same hue as the others.`,
    (label) => `Mix step ${label} again from the pure colour, and add white or black only in small amounts.`,
  ),
  chip_misplaced: chipMisplaced,
  silhouette_not_solid: {
    say: () => 'The dark shape in front is not one solid dark: it shows streaks or paper, or is too light.',
    do: () => 'Give the dark shape another coat of black as it comes from the tube, right up to its outline.',
  },
};
