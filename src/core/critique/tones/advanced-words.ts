/** What those who have painted for long are told about a picture in few tones. */
import { massName } from '../naming';
import { praise } from '../plain-words';
import type { Catalogue } from '../rule';
import type { ToneFacts } from './facts';
import type { ToneNames } from './tone-names';
import { BEGINNERS } from './words';

export const ADVANCED: Catalogue<ToneFacts, ToneNames> = {
  ...BEGINNERS,
  big_shapes: praise('The pattern of the masses is that of the reference.', 'The large design holds.'),
  flat_tones: praise('Flat tones, each one value.'),
  decided: praise('Every shape is committed to one tone.', 'The design is decided: nothing hovers between tones.'),
  pair_crossed: {
    say: ({ pair }) => `On ${massName(pair.object)} the light and shadow families overlap.`,
    do: () => 'Fix the terminator once, and keep the two families apart on either side of it.',
  },
  slivers: {
    say: () => 'Some shapes are too thin to carry across the room.',
    do: () => 'Mass them into their neighbours: lose the edge.',
  },
};
