/** The sentences of a painting's critique, one entry a code: what is seen, and one thing to do about it. */
import type { ShareBox } from '../../../geometry/share-box';
import { inSteps } from '../../amounts';
import { capital, massName, place, whither } from '../../naming';
import type { Catalogue, Words } from '../../rule';
import type { Said } from '../../voice';
import { COLOUR_WORDS } from './colour';
import { MODELLING_WORDS } from './modelling';
import { WHOLE_WORDS } from './whole';
import { ALL_OF_IT } from '../rules/one-thing-once';
import { formBroken } from './form';
import type { ExtentFacts, LineFacts, MovedFacts, PaintingFacts, RangeFacts, Sits, Way, WholeFacts } from '../facts';

/** Nothing of a painting goes by the class's own numbers. */
export type NoNames = Record<never, never>;

const praise = <F>(say: (facts: F) => Said): Words<F, NoNames> => ({ say, do: () => null });

const named = (name: string | null, box: ShareBox, what: string): string =>
  name === null ? `${what} ${place(box)}` : massName(name);

/** How much, for an amount in steps. */
const howMuch = (steps: number): string => (Math.abs(steps) < 1 ? 'a little' : Math.abs(steps) < 2 ? 'clearly' : 'far');

const partNamed = ({ part: { shape, box }, share }: PaintingFacts['part_off']): string =>
  shape === null || share >= ALL_OF_IT ? named(shape, box, 'a shape') : `a part of ${massName(shape)} ${place(box)}`;

const partOff: Words<PaintingFacts['part_off'], NoNames> = {
  say: (facts) => {
    const [what, how] = [capital(partNamed(facts)), howMuch(facts.steps)];
    const way = facts.steps > 0 ? 'light' : 'dark';
    return [
      `${what} is ${how} too ${way} beside the rest.`,
      `Beside the rest ${partNamed(facts)} is ${how} too ${way}.`,
    ];
  },
  do: ({ steps }) => `Bring it ${steps > 0 ? 'down' : 'up'} by ${inSteps(steps)}.`,
};

const REACHES: Record<ExtentFacts['extent']['kind'], { say: (shape: string) => string; do: string }> = {
  wide: {
    say: (shape) => `${capital(shape)} is too wide.`,
    do: 'Cut it back with the value of what it meets.',
  },
  narrow: {
    say: (shape) => `${capital(shape)} is too narrow.`,
    do: 'Let it reach further into what it meets.',
  },
  detail: {
    say: (shape) => `There is too much to see inside ${shape}.`,
    do: 'Half close your eyes before it, and paint over it with one value.',
  },
};

const extentOff: Words<ExtentFacts, NoNames> = {
  say: ({ extent: { kind, name, box } }) => REACHES[kind].say(named(name, box, 'a shape')),
  do: ({ extent: { kind } }) => REACHES[kind].do,
};

const LINES: Record<LineFacts['line']['kind'], { say: (line: string, where: string) => string; do: string }> = {
  missing: {
    say: (line, where) => `A thin ${line} line ${where} is missing.`,
    do: 'Put it in last of all, with your smallest brush.',
  },
  weak: {
    say: (line, where) => `The thin ${line} line ${where} is too faint.`,
    do: 'Go over it once more, a step further from what lies about it.',
  },
  extra: {
    say: (line, where) => `There is a thin ${line} line ${where} that the reference has not.`,
    do: 'Lose it in what lies about it.',
  },
  thin: {
    say: (line, where) => `The thin ${line} line ${where} is thinner than it should be.`,
    do: 'Press the brush a little more as you go over it.',
  },
  wide: {
    say: (line, where) => `The thin ${line} line ${where} has become too wide.`,
    do: 'Cut it back from one side with what lies beside it.',
  },
};

const lineOff: Words<LineFacts, NoNames> = {
  say: ({ line: { kind, light, box } }) => LINES[kind].say(light ? 'light' : 'dark', place(box)),
  do: ({ line: { kind } }) => LINES[kind].do,
};

const MOVED: Record<Way, (facts: MovedFacts) => { say: string; do: string }> = {
  place: ({ moved: { dx, dy } }) => ({
    say: `stands ${whither({ x: dx, y: dy })}`,
    do: 'Check where it begins and ends against what lies above and beside it.',
  }),
  width: ({ moved: { width } }) => ({
    say: width > 1 ? 'is too wide' : 'is too narrow',
    do: 'Measure its width against its height with your brush at arm’s length.',
  }),
  height: ({ moved: { height } }) => ({
    say: height > 1 ? 'is too tall' : 'is too low',
    do: 'Measure its height against its width with your brush at arm’s length.',
  }),
  slant: ({ moved: { slant } }) => ({
    say: `leans to the ${slant > 0 ? 'right' : 'left'}`,
    do: 'Hold the brush upright before it and compare.',
  }),
};

const featureMoved: Words<MovedFacts, NoNames> = {
  say: (facts) => {
    const { moved, ways } = facts;
    const told = ways.slice(0, 2).map((way) => MOVED[way](facts).say);
    return `${capital(named(moved.name, moved.box, 'what stands'))} ${told.join(' and ')}.`;
  },
  do: (facts) => {
    const [worst = 'place'] = facts.ways;
    return MOVED[worst](facts).do;
  },
};

/** What became of a gap. */
function became({ wanted, painted }: PaintingFacts['gap_off']['gap']): string {
  if (painted <= 0) return 'has closed up';
  return painted < wanted ? 'is too narrow' : 'is too wide';
}

const wholeWords = (than: string, what: string): Words<WholeFacts, NoNames> => ({
  say: ({ steps }) =>
    `All of it is ${howMuch(steps)} ${than} than it should be; its parts are judged as if it were not.`,
  do: () => what,
});

/** The end that gives way more. */
const shortEnd = ({ short }: RangeFacts) => (short.dark > short.light ? 'dark' : 'light');

const sized = ({ scale }: Sits): string => {
  const [x, y] = [scale.x - 1, scale.y - 1];
  if (Math.abs(x - y) > 0.03)
    return Math.abs(x) > Math.abs(y) ? (x > 0 ? 'wider' : 'narrower') : y > 0 ? 'taller' : 'lower';
  return x + y > 0 ? 'larger' : 'smaller';
};

const SWAPPED: Words<PaintingFacts['greys_swapped'], NoNames> = {
  say: ({ lighter, darker }) =>
    place(lighter) === place(darker)
      ? `Two shapes ${place(lighter)} have changed places: the one that should be lighter is darker.`
      : `A shape ${place(lighter)} should be lighter than one ${place(darker)}, and is darker.`,
  do: () => 'Half close your eyes before the reference, and ask which of the two goes dark first.',
};

const STAGE_WORDS = {
  stain_even: praise(() => 'The stain is even: whatever comes over it will be seen against one ground.'),
  stain_uneven: {
    say: () => 'The stain is patchy: some of it is clearly lighter than the rest.',
    do: () => 'Brush it out while it is wet, from the dark patches into the light ones.',
  },
  masses_apart: praise(() => 'Light and shadow stand apart: two masses, read at a glance.'),
  masses_meet: {
    say: () => 'Light and shadow run into each other: some of the light is as dark as some of the shadow.',
    do: () => 'Choose one value for all that the light reaches and one for all that it does not, and keep to them.',
  },
  greys_in_order: praise(() => 'The greys are in order: what should be lighter is lighter everywhere.'),
  greys_swapped: SWAPPED,
  values_kept: praise(() => 'The glaze has left the values as they were.'),
  values_lost: {
    say: () => 'The glaze has taken some of the values with it: light and dark lie closer together than before.',
    do: () => 'Lift it out of the lights with a dry brush while it is wet, and lay the next one thinner.',
  },
} satisfies Partial<Catalogue<PaintingFacts, NoNames>>;

export const BEGINNERS: Catalogue<PaintingFacts, NoNames> = {
  ...STAGE_WORDS,
  ...COLOUR_WORDS,
  ...MODELLING_WORDS,
  ...WHOLE_WORDS,
  drawing_holds: praise(() => [
    'The drawing holds: everything sits where the reference has it.',
    'Things stand where they should: the drawing can be trusted.',
    'The drawing is right, and all the rest can stand on it.',
  ]),
  values_hold: praise(() => [
    'The values hold together: nothing stands out as too light or too dark.',
    'Each value is right beside its neighbours.',
    'Light and dark sit as they should, shape by shape.',
  ]),
  range_holds: praise(() => [
    'It goes from its lightest light to its darkest dark as far as it should.',
    'It uses the whole range, from a real dark to a real light.',
  ]),
  range_short: {
    say: (facts) =>
      shortEnd(facts) === 'dark'
        ? 'Light and dark lie too close together: most of all the darks are not dark enough.'
        : 'Light and dark lie too close together: most of all the lights are not light enough.',
    do: (facts) =>
      shortEnd(facts) === 'dark'
        ? 'Put in the darkest dark first, and set every other value against it.'
        : 'Put in the lightest light first, and set every other value against it.',
  },
  range_stretched: {
    say: () => 'Light and dark lie further apart than in the reference.',
    do: () => 'Mix the two ends nearer to each other, then step between them anew.',
  },
  all_lighter: wholeWords('lighter', 'Begin the next one with the darkest value, and mix the others down from it.'),
  all_darker: wholeWords('darker', 'Begin the next one with the lightest value, and mix the others up from it.'),
  part_off: partOff,
  extent_off: extentOff,
  line_off: lineOff,
  form_holds: praise(() => 'Light and shadow hold on every mass: nothing in the one is mistaken for the other.'),
  form_broken: formBroken,
  feature_moved: featureMoved,
  gap_off: {
    say: ({ gap }) => `The gap between ${gap.between.map(massName).join(' and ')} ${became(gap)}.`,
    do: () => 'Look at the shape between the two, and draw that.',
  },
  picture_moved: {
    say: ({ shift }) => `The whole picture sits ${whither(shift)}; its shapes are judged as if it did not.`,
    do: () => 'Next time mark the middle of each side before you draw.',
  },
  picture_turned: {
    say: ({ rotation }) => `The whole picture leans to the ${rotation > 0 ? 'right' : 'left'}.`,
    do: () => 'Next time draw one upright through the middle first.',
  },
  picture_sized: {
    say: (sits) => `The whole picture is ${sized(sits)} than its frame has it.`,
    do: () => 'Next time mark how far the largest shape reaches before you draw it.',
  },
};
