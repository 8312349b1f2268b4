/** What children are told about a painting: short words, one thing at a time. */
import type { ShareBox } from '../../../geometry/share-box';
import { inSteps } from '../../amounts';
import { capital, massName, place } from '../../naming';
import { fixed, praise } from '../../plain-words';
import type { Catalogue } from '../../rule';
import type { BrokenForm, GradientFault, LineOff, PaintingFacts, Turn, Way } from '../facts';
import type { NoNames } from './beginners';

const named = (name: string | null, box: ShareBox): string =>
  name === null ? `a shape ${place(box)}` : massName(name);

const LINES: Record<LineOff['kind'], { readonly say: (line: string, where: string) => string; readonly do: string }> = {
  missing: {
    say: (line, where) => `A thin ${line} line ${where} is not there yet.`,
    do: 'Paint it last, with your small brush.',
  },
  weak: {
    say: (line, where) => `The thin ${line} line ${where} is too faint.`,
    do: 'Paint over it one more time.',
  },
  extra: {
    say: (line, where) => `You made a thin ${line} line ${where}. It is not in the picture.`,
    do: 'Hide it with the paint that is next to it.',
  },
  thin: {
    say: (line, where) => `The ${line} line ${where} is too thin.`,
    do: 'Press the brush a bit more.',
  },
  wide: {
    say: (line, where) => `The ${line} line ${where} is too fat.`,
    do: 'Paint a bit over one side of it.',
  },
};

const MOVED: Record<Way, { readonly say: string; readonly do: string }> = {
  place: {
    say: 'is not in its place',
    do: 'Look what is above it and what is next to it. Then draw it there.',
  },
  width: { say: 'is too wide or too thin', do: 'Hold up your brush. How wide is it? How tall is it?' },
  height: { say: 'is too tall or too low', do: 'Hold up your brush. How tall is it? How wide is it?' },
  slant: { say: 'leans over', do: 'Hold your brush up straight, and look if it leans.' },
};

const FORM: Record<BrokenForm['code'], { readonly say: (thing: string) => string; readonly do: string }> = {
  separation: {
    say: (thing) => `Some of the shadow on ${thing} is as light as the light.`,
    do: 'Squint, and make the shadow dark all over.',
  },
  reflected_light: {
    say: (thing) => `The soft light in the shadow of ${thing} is too light.`,
    do: 'Make it darker. It is still in the shadow.',
  },
  not_joined: {
    say: (thing) => `The two shadows of ${thing} do not hold hands.`,
    do: 'Make them the same dark where they meet.',
  },
  cast_not_lightening: {
    say: () => 'The shadow on the table is the same dark all the way.',
    do: 'Keep it dark near the thing. Make it lighter far away.',
  },
  cast_edge_hard: {
    say: () => 'The shadow on the table has a hard edge all the way round.',
    do: 'Make the far edge soft with a dry brush.',
  },
  black_hole: {
    say: (thing) => `A dark part of ${thing} looks like a black hole.`,
    do: 'Look for a bit of light in it, and paint that.',
  },
  counterchange: {
    say: (thing) => `Look at the edge of ${thing}. Light and dark have swapped there.`,
    do: 'Ask which side is lighter, and paint it so.',
  },
  highlight_order: {
    say: () => 'Two shiny spots are the same. One should be the best.',
    do: 'Keep the best one. Make the other one a bit darker.',
  },
  overlap_not_darker: {
    say: () => 'Two shadows lie over each other. It should be darker there.',
    do: 'Paint that spot one more time.',
  },
  outside_steps: {
    say: (thing) => `A part of ${thing} does not use the greys that you chose for it.`,
    do: 'Hold it next to your scale, and mix the nearest grey.',
  },
  step_unused: {
    say: () => 'You chose a grey, and it is not in the picture yet.',
    do: 'Go along your scale, and find a home for each grey.',
  },
  edges_alike: {
    say: () => 'All the edges look just as sharp.',
    do: 'Choose two that stay sharp. Make the rest soft.',
  },
};

const GRADIENT: Record<GradientFault, { readonly say: (shape: string) => string; readonly do: string }> = {
  flat: {
    say: (shape) => `${capital(shape)} looks flat.`,
    do: 'Make one side light and one side dark, and let them melt.',
  },
  steep: {
    say: (shape) => `${capital(shape)} goes too far from light to dark.`,
    do: 'Bring its two sides a bit closer.',
  },
  uneven: {
    say: (shape) => `${capital(shape)} should be one grey all over.`,
    do: 'Mix the grey of its middle, and paint it all with that.',
  },
  turned: {
    say: (shape) => `${capital(shape)} gets light on the wrong side.`,
    do: 'Where is the lamp? Paint the side near it first.',
  },
};

const TOO: Record<Turn, string> = {
  yellow: 'too yellow',
  blue: 'too blue',
  red: 'too red',
  green: 'too green',
  strong: 'too loud',
  dull: 'too grey',
};
const BACK: Record<Turn, string> = {
  yellow: 'Mix in a dot of blue. Keep it just as light.',
  blue: 'Mix in a dot of yellow. Keep it just as light.',
  red: 'Mix in a dot of green. Keep it just as light.',
  green: 'Mix in a dot of red. Keep it just as light.',
  strong: 'Mix in a bit of grey that is just as light.',
  dull: 'Mix it again with more of the colour and less white.',
};

const lighter = (thing: string, up: boolean, steps: number) =>
  `Make ${thing} ${up ? 'lighter' : 'darker'}, by ${inSteps(steps)}.`;

export const CHILDREN: Catalogue<PaintingFacts, NoNames> = {
  drawing_holds: praise(
    'Your drawing fits: each thing is in its place.',
    'You drew each thing where it should be.',
    'All your shapes sit in the right place.',
  ),
  stain_even: praise('Your first coat is smooth all over.', 'The first coat is even. That is a good start.'),
  masses_apart: praise('Light and shadow are clear. You can see them from far away.'),
  greys_in_order: praise('Your greys are in order: light is light and dark is dark.'),
  values_kept: praise('You kept your lights and darks under the glaze.'),
  stain_uneven: fixed('Your first coat has spots: some parts are lighter.', 'Brush it out while it is wet.'),
  masses_meet: fixed(
    'Light and shadow run into each other.',
    'Choose one grey for the light and one for the shadow, and stay with them.',
  ),
  greys_swapped: fixed('Two shapes have swapped: the light one is darker.', 'Squint. Which one gets dark first?'),
  values_lost: fixed(
    'The glaze hid some of your lights and darks.',
    'Wipe it off the lights while it is wet. Make the next one thin.',
  ),
  rescue_reaches: praise('Your darks got darker and your lights got lighter. It was worth it!'),
  rescue_clearer: praise('It is less grey than before, and more clear.'),
  rescue_contrast: praise('Your shapes stand out more than before.'),
  rescue_narrower: fixed('Your lights and darks are closer than before.', 'Put your darkest dark back in.'),
  rescue_untouched: fixed('You have not painted much on it yet.', 'Start with one big shape, and paint all of it.'),
  values_hold: praise(
    'Your greys work well: not one is too light or too dark.',
    'All your greys fit together.',
    'Each shape has a grey that suits it.',
  ),
  range_holds: praise(
    'You went all the way from light to dark.',
    'Your dark is really dark, and your light is really light.',
  ),
  range_short: {
    say: ({ short }) =>
      short.dark > short.light
        ? 'Your picture needs a real dark. All the darks are still grey.'
        : 'Your picture needs a real light. All the lights are still grey.',
    do: ({ short }) =>
      short.dark > short.light
        ? 'Paint the darkest spot first. Then look at the rest again.'
        : 'Paint the lightest spot first. Then look at the rest again.',
  },
  range_stretched: fixed('Your light and dark are too far apart.', 'Mix your dark a bit lighter.'),
  all_lighter: fixed('All of it is too light.', 'Next time, start with the dark, and mix the rest from it.'),
  all_darker: fixed('All of it is too dark.', 'Next time, start with the light, and mix the rest from it.'),
  part_off: {
    say: ({ part: { shape, box }, steps }) => {
      const thing = capital(named(shape, box));
      const how = steps > 0 ? 'light' : 'dark';
      return [`${thing} is too ${how}.`, `${thing} got a bit too ${how} for the rest.`];
    },
    do: ({ steps }) => lighter('it', steps < 0, steps),
  },
  middle_crowded: fixed('Almost all of it is grey.', 'Choose one big shape to go dark, and one to go light.'),
  lights_scattered: fixed('Your lights are in many little bits.', 'Squint, and join the ones that touch.'),
  darks_scattered: fixed('Your darks are in many little bits.', 'Squint, and join the ones that touch.'),
  focus_elsewhere: fixed(
    'Your eye jumps to the wrong spot first.',
    'Make light and dark closer there, and clear where you want to look.',
  ),
  form_holds: praise('Light and shadow are clear on each thing.', 'I can see where the light comes from.'),
  form_broken: {
    say: ({ rule }) => FORM[rule.code].say(massName(rule.object ?? rule.names[0] ?? 'it')),
    do: ({ rule }) => FORM[rule.code].do,
  },
  colours_hold: praise('Your colours fit: they are warm and cool in the right spots.'),
  colour_strength: {
    say: ({ strength }) => (strength < 1 ? 'Your colours are a bit grey.' : 'Your colours are a bit loud.'),
    do: ({ strength }) =>
      strength < 1 ? 'Mix the brightest colour first, with no white.' : 'Mix the softest colour first.',
  },
  colour_cast: { say: ({ turn }) => `All of it is ${TOO[turn]}.`, do: ({ turn }) => BACK[turn] },
  colour_off: {
    say: ({ part: { shape, box }, turn }) => `${capital(named(shape, box))} is ${TOO[turn]}.`,
    do: ({ turn }) => BACK[turn],
  },
  colour_elsewhere: fixed(
    'The brightest colour is in the wrong spot.',
    'Make it softer there, and bright where it belongs.',
  ),
  shadow_warmth: {
    say: ({ object, wanted }) => `The shadow of ${massName(object)} is too ${wanted < 0 ? 'warm' : 'cold'}.`,
    do: ({ wanted }) => `Mix a dot of ${wanted < 0 ? 'blue' : 'orange'} into the shadow.`,
  },
  accent_of_colour: {
    say: ({ allowed }) =>
      allowed ? 'More than one bright spot calls to your eye.' : 'There is a spot of another colour.',
    do: ({ allowed }) => (allowed ? 'Keep the best one. Make the rest grey.' : 'Make it a grey that is just as light.'),
  },
  accent_alone: praise('Your one bright spot calls the eye. Good choice!'),
  extent_off: {
    say: ({ extent: { kind, name, box } }) => {
      const thing = named(name, box);
      if (kind === 'detail') return `There is too much going on in ${thing}.`;
      return `${capital(thing)} is too ${kind === 'wide' ? 'big' : 'small'}.`;
    },
    do: ({ extent: { kind } }) => {
      if (kind === 'detail') return 'Squint, and paint over it with one grey.';
      return kind === 'wide' ? 'Paint over its edge with what is next to it.' : 'Let it grow a bit over its edge.';
    },
  },
  line_off: {
    say: ({ line: { kind, light, box } }) => LINES[kind].say(light ? 'light' : 'dark', place(box)),
    do: ({ line: { kind } }) => LINES[kind].do,
  },
  gradient_off: {
    say: ({ shape, fault }) => GRADIENT[fault].say(massName(shape.name)),
    do: ({ fault }) => GRADIENT[fault].do,
  },
  contrast_off: {
    say: ({ contrast: { between }, steps, shouts }) =>
      shouts !== null
        ? `${capital(massName(shouts))} is too loud.`
        : `${capital(between.map(massName).join(' and '))} look too ${steps > 0 ? 'far apart' : 'much the same'}.`,
    do: ({ steps }) => (steps > 0 ? 'Make the two more like each other.' : 'Make one lighter or one darker.'),
  },
  feature_moved: {
    say: ({ moved: { name, box }, ways: [worst = 'place'] }) => `${capital(named(name, box))} ${MOVED[worst].say}.`,
    do: ({ ways: [worst = 'place'] }) => MOVED[worst].do,
  },
  gap_off: {
    say: ({ gap: { between, wanted, painted } }) =>
      `The space between ${between.map(massName).join(' and ')} is too ${painted < wanted ? 'small' : 'big'}.`,
    do: () => 'Look at the shape of the space, and draw that.',
  },
  picture_moved: fixed('The whole picture has slid to one side.', 'Next time, mark the middle before you draw.'),
  picture_turned: fixed('The whole picture leans.', 'Next time, draw one straight line first.'),
  picture_sized: fixed('The whole picture has the wrong size.', 'Next time, mark the ends of the big shape first.'),
};
