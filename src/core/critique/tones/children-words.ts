/** What children are told about a picture in few tones: short words, one thing at a time. */
import { capital, massName, place, SHIFTED } from '../naming';
import { fixed, praise } from '../plain-words';
import type { Catalogue } from '../rule';
import type { ToneFacts } from './facts';
import { toneGroup, toneName, type ToneNames } from './tone-names';

const side = ({ x, y }: ToneFacts['shifted']): string => {
  if (Math.abs(x) >= Math.abs(y)) return x > SHIFTED / 2 ? 'to the right' : 'to the left';
  return y > 0 ? 'down' : 'up';
};

export const CHILDREN: Catalogue<ToneFacts, ToneNames> = {
  big_shapes: praise('Your big shapes are in the right place.', 'You found all the big shapes.'),
  flat_tones: praise('Each grey is smooth and flat.', 'You painted each grey flat. Good!'),
  pairs_hold: praise('The light is lighter than the shadow on each thing.', 'I can see where the light falls.'),
  in_their_steps: praise('Each shape uses the greys that you gave it.'),
  decided: praise('You chose for each shape: it is light or it is dark.', 'Each shape is clear.'),
  flipped_shape: {
    say: ({ shape, box, drawn, wanted }, names) => {
      const what = shape === undefined ? `A shape ${place(box)}` : capital(massName(shape));
      return `${what} is ${toneName(drawn, names)}. In the picture it is ${toneName(wanted, names)}.`;
    },
    do: ({ wanted }, names) => `Paint it ${toneName(wanted, names)}.`,
  },
  outside_steps: {
    say: ({ mass, tone }, names) => `Some of ${massName(mass.name)} is ${toneName(tone, names)}. That is not its grey.`,
    do: ({ wanted }, names) => `Paint it ${toneName(wanted, names)}.`,
  },
  pair_crossed: {
    say: ({ pair }) => `Some of the shadow on ${massName(pair.object)} is too light.`,
    do: () => 'Find where the light stops. Make all the rest darker.',
  },
  overlap_lighter: {
    say: ({ overlap }) => `${capital(massName(overlap.name))} should be darker than ${massName(overlap.than)}.`,
    do: () => 'Where two shadows meet, go darker.',
  },
  missing_tone: {
    say: ({ tone }, names) => `One grey is not there: ${toneGroup(tone.index, names)}.`,
    do: () => 'Mix it from the two next to it, and find its place.',
  },
  shifted: {
    say: (by) => `The whole picture has slid ${side(by)}.`,
    do: () => 'Next time, mark the middle before you draw.',
  },
  tone_share: {
    say: ({ tone, share, referenceShare }, names) =>
      `There is too ${share > referenceShare ? 'much' : 'little'} of ${toneGroup(tone, names)}.`,
    do: () => 'Look along its edges, and move them a bit.',
  },
  grey_for_black: fixed('Your dark is still a grey.', 'Paint the dark again, with no white in it.'),
  grey_for_white: fixed('Your light is still a grey.', 'Wash your brush, and paint the light again with clean white.'),
  uneven_tone: {
    say: ({ tone }, names) => `The paint of ${toneGroup(tone, names)} has spots.`,
    do: () => 'Stir your paint, and give it one more coat.',
  },
  slivers: fixed('Some shapes are too thin to see from far away.', 'Let them join the shape next to them.'),
  sizes_alike: fixed('All your shapes are the same size.', 'Make one of them the boss, and join some small ones.'),
  ragged_edges: fixed('Many of your edges are rough.', 'Go along each edge again, slow and smooth.'),
  white_not_sparing: fixed('There is a lot of white.', 'Keep white for the few spots that shine.'),
  seams_stand_out: fixed('There is a line where two greys meet.', 'Bring the greys close till they touch.'),
};
