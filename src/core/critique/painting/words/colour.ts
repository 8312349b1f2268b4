/** What is said of a painting's colours, and what takes them back. */
import { massName, place } from '../../naming';
import type { Catalogue } from '../../rule';
import type { PaintingFacts, Turn } from '../facts';

type Names = Record<never, never>;
type ColourCodes =
  | 'colours_hold'
  | 'colour_strength'
  | 'colour_cast'
  | 'colour_off'
  | 'colour_elsewhere'
  | 'shadow_warmth'
  | 'accent_of_colour'
  | 'accent_alone';

const TOO: Record<Turn, string> = {
  yellow: 'too yellow',
  blue: 'too blue',
  red: 'too red',
  green: 'too green',
  strong: 'too strong in colour',
  dull: 'too dull',
};

/** What takes it back: the hue across the circle, in tiny amounts. */
const BACK: Record<Turn, string> = {
  yellow: 'Mix it again with a touch of blue or violet in it, and check that it stays as light.',
  blue: 'Warm it with a touch of yellow, and check that it stays as light.',
  red: 'Mix it again with a touch of green in it, and check that it stays as light.',
  green: 'Mix it again with a touch of red in it, and check that it stays as light.',
  strong: 'Quiet it with a little of the hue across the circle, or a grey that is as light.',
  dull: 'Mix it again with less white and less grey in it, and more of the colour itself.',
};

/** The same where all of it is off. */
const EVERYWHERE: Record<Turn, string> = {
  ...BACK,
  yellow: 'Look at the light you paint in, and put a touch of blue or violet into every mix.',
  blue: 'Look at the light you paint in, and put a touch of yellow into every mix.',
  red: 'Look at the light you paint in, and put a touch of green into every mix.',
  green: 'Look at the light you paint in, and put a touch of red into every mix.',
};

const howFar = (off: number, tolerance: number) => (off > 2.5 * tolerance ? 'far ' : '');

export const COLOUR_WORDS: Pick<Catalogue<PaintingFacts, Names>, ColourCodes> = {
  colours_hold: {
    say: () => 'The colours hold: no shape is warmer or cooler, stronger or duller than it should be.',
    do: () => null,
  },
  colour_strength: {
    say: ({ strength }) =>
      strength < 1
        ? 'The colours lie closer together than in the reference: all of it is duller.'
        : 'The colours lie further apart than in the reference: all of it is louder.',
    do: ({ strength }) =>
      strength < 1
        ? 'Find the strongest colour of the reference, mix that as clean as you can, and set the others against it.'
        : 'Find the quietest colour of the reference, mix that first, and set the others against it.',
  },
  colour_cast: {
    say: ({ turn, off, tolerance }) =>
      `All of it is ${howFar(off, tolerance)}${TOO[turn]}; its shapes are judged as if it were not.`,
    do: ({ turn }) => EVERYWHERE[turn],
  },
  colour_off: {
    say: ({ part: { shape, box }, turn, off, tolerance }) => {
      const what = shape === null ? `what lies ${place(box)}` : massName(shape);
      return `Beside the rest ${what} is ${howFar(off, tolerance)}${TOO[turn]}.`;
    },
    do: ({ turn }) => BACK[turn],
  },
  shadow_warmth: {
    say: ({ object, wanted }) =>
      wanted < 0
        ? `In the shadow ${massName(object)} turns warmer than in the light; in the reference it turns cooler.`
        : `In the shadow ${massName(object)} turns cooler than in the light; in the reference it turns warmer.`,
    do: ({ wanted }) =>
      wanted < 0
        ? 'Put a touch of blue or violet into its shadow, or a touch of yellow into its light, and keep both as light as they are.'
        : 'Put a touch of yellow or orange into its shadow, or a touch of blue into its light, and keep both as light as they are.',
  },
  accent_of_colour: {
    say: ({ allowed, places }) => {
      const where = places[0] ? place(places[0].box) : '';
      if (allowed)
        return `Another colour stands out in more than one place, most of all ${where}: the eye goes from one to the next.`;
      return `Another colour stands out ${where}: this painting is to be in one hue.`;
    },
    do: ({ allowed }) =>
      allowed
        ? 'Keep the one where the eye is to go, and bring the others back to a grey that is as light.'
        : 'Bring it back to a grey that is as light, or ask for a touch of colour next time.',
  },
  accent_alone: {
    say: ({ places }) => `The one touch of colour ${places[0] ? place(places[0].box) : ''} draws the eye to it.`,
    do: () => null,
  },
  colour_elsewhere: {
    say: ({ painted, wanted }) =>
      place(painted) === place(wanted)
        ? 'The strongest colour does not sit where the reference has it.'
        : `The strongest colour sits ${place(painted)}, where the reference has it ${place(wanted)}.`,
    do: () => 'Quiet the one, or strengthen the other: the eye goes to the strongest colour first.',
  },
};
