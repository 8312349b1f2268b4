/** What is said of a painting as a whole, and of what became of an old one. */
import { place } from '../../naming';
import type { Catalogue } from '../../rule';
import type { PaintingFacts } from '../facts';

type Names = Record<never, never>;
type Codes =
  | 'middle_crowded'
  | 'lights_scattered'
  | 'darks_scattered'
  | 'focus_elsewhere'
  | 'rescue_reaches'
  | 'rescue_clearer'
  | 'rescue_contrast'
  | 'rescue_narrower'
  | 'rescue_untouched';

export const WHOLE_WORDS: Pick<Catalogue<PaintingFacts, Names>, Codes> = {
  middle_crowded: {
    say: ({ wanted }) =>
      wanted === null
        ? 'It lives in the middle: there is hardly a real dark or a real light in it.'
        : 'More of it lies in the middle greys than in the reference.',
    do: () => 'Choose one large shape to go to the dark end and one to go to the light end, and leave the rest.',
  },
  lights_scattered: {
    say: () => 'The lights lie about in many pieces, where the reference has a few that hang together.',
    do: () => 'Half close your eyes, and join those that run into each other; quiet those that stand alone.',
  },
  darks_scattered: {
    say: () => 'The darks lie about in many pieces, where the reference has a few that hang together.',
    do: () => 'Half close your eyes, and let the darks run into each other where they touch.',
  },
  focus_elsewhere: {
    say: ({ painted, wanted }) =>
      place(painted) === place(wanted)
        ? 'Light and dark meet most sharply at another place than in the reference.'
        : `Light and dark meet most sharply ${place(painted)}, where the reference has that ${place(wanted)}.`,
    do: () => 'Bring the two nearer to each other where the eye should not go first, and apart where it should.',
  },
  rescue_reaches: {
    say: () => 'It reaches further than before: its darkest darks and its lightest lights lie further apart.',
    do: () => null,
  },
  rescue_clearer: {
    say: () => 'Less of it lives in the middle than before.',
    do: () => null,
  },
  rescue_contrast: {
    say: () => 'Shapes that meet stand more clearly apart than before.',
    do: () => null,
  },
  rescue_narrower: {
    say: () => 'Light and dark lie closer together than before.',
    do: () => 'Look at the photograph of how it was: put back the darkest dark that it had, or the lightest light.',
  },
  rescue_untouched: {
    say: () => 'Hardly anything has been painted over yet.',
    do: () => 'Begin with the largest shape that should be darker or lighter, and cover all of it.',
  },
};
