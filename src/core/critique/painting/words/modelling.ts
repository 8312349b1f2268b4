/** What is said of how a shape goes over from light to dark, and of how shapes that meet stand out of each other. */
import { capital, massName } from '../../naming';
import type { Catalogue } from '../../rule';
import type { ContrastFacts, GradientFault, PaintingFacts } from '../facts';

type Names = Record<never, never>;

const GRADIENT: Record<GradientFault, { say: (shape: string) => string; do: string }> = {
  flat: {
    say: (shape) => `${capital(shape)} is flat: it should go over from light to dark.`,
    do: 'Set the value of its lightest and of its darkest side, and let the one go over into the other.',
  },
  steep: {
    say: (shape) => `${capital(shape)} changes too much from one side to the other.`,
    do: 'Bring its two sides nearer to each other, and keep what lies between.',
  },
  uneven: {
    say: (shape) => `${capital(shape)} goes over from light to dark where it should be of one value.`,
    do: 'Give all of it the value of its middle.',
  },
  turned: {
    say: (shape) => `${capital(shape)} grows lighter towards the wrong side.`,
    do: 'Ask where the light comes from, and set its lightest side first.',
  },
};

function apart({ contrast: { lightness }, steps, instead }: ContrastFacts): string {
  if (instead === 'white') return 'are set apart by white where they should be by colour';
  if (instead === 'colour') return 'are set apart by colour where they should be by light and dark';
  if (lightness.wanted * lightness.painted < 0) return 'have changed places: the one that should be lighter is darker';
  return steps > 0 ? 'stand out of each other too much' : 'stand out of each other too little';
}

function mended({ steps, instead }: ContrastFacts): string {
  if (instead === 'white') return 'Less white, more colour: mix the lighter one anew.';
  if (instead === 'colour') return 'Quiet the colour, and let the darker one be darker.';
  return steps > 0
    ? 'Look at where they meet, and bring each a touch nearer to the other.'
    : 'Look at where they meet, and take each a touch further from the other.';
}

export const MODELLING_WORDS: Pick<Catalogue<PaintingFacts, Names>, 'gradient_off' | 'contrast_off'> = {
  gradient_off: {
    say: ({ shape, fault }) => GRADIENT[fault].say(massName(shape.name)),
    do: ({ fault }) => GRADIENT[fault].do,
  },
  contrast_off: {
    say: (facts) =>
      facts.shouts === null
        ? `${capital(facts.contrast.between.map(massName).join(' and '))} ${apart(facts)}.`
        : `${capital(massName(facts.shouts))} shouts: it should keep quiet beside what it meets.`,
    do: mended,
  },
};
