/** The sentences of a critique of few tones, one entry a code: what is seen, and one thing to do about it. */
import { capital, massName, partOf, place, whither } from '../naming';
import type { Catalogue, Words } from '../rule';
import type { Said } from '../voice';
import type { EndFacts, MassFacts, MeasuredRegion, ToneFacts } from './facts';
import { toneGroup, toneName, type ToneNames } from './tone-names';
import { SHORT } from './tone-rules';

const praise = <F>(say: (facts: F) => Said): Words<F, ToneNames> => ({ say, do: () => null });

const flippedShape: Words<MeasuredRegion, ToneNames> = {
  say: ({ shape, box, drawn, wanted }, names) => {
    const what = shape === undefined ? `A shape ${place(box)}` : capital(massName(shape));
    return `${what} is ${toneName(drawn, names)}, and the reference has it ${toneName(wanted, names)}.`;
  },
  do: ({ wanted }, names) => `Paint it ${toneName(wanted, names)}, unless you lost that edge on purpose.`,
};

/** The steps that a mass was given: "the light", "the light or the middle tone", "the second tone to the dark". */
function given({ mass: { steps } }: MassFacts, names: ToneNames): string {
  if (!steps) return 'its own steps';
  const [from, to] = [toneGroup(steps.from, names), toneGroup(steps.to, names)];
  if (from === to) return from;
  return steps.to === steps.from + 1 ? `${from} or ${to}` : `${from} to ${to}`;
}

const outsideSteps: Words<MassFacts, ToneNames> = {
  say: (facts, names) => {
    const what = capital(`${partOf(facts.share)}${massName(facts.mass.name)}`);
    return `${what} is ${toneName(facts.tone, names)}; it belongs to ${given(facts, names)}.`;
  },
  do: ({ wanted }, names) => `Paint it ${toneName(wanted, names)}.`,
};

const shifted: Words<{ readonly x: number; readonly y: number }, ToneNames> = {
  say: (by) => `The whole picture sits ${whither(by)}; its shapes are judged as if it did not.`,
  do: () => 'Next time mark the middle of each side before you draw.',
};

const greyForBlack: Words<EndFacts, ToneNames> = {
  say: ({ lightness, frame }) =>
    frame !== null && frame < lightness - SHORT
      ? 'The dark is a grey: the frame that you painted is darker.'
      : 'The dark is a grey: it could go further.',
  do: () => 'Paint the dark once more, with no white in it.',
};

export const BEGINNERS: Catalogue<ToneFacts, ToneNames> = {
  big_shapes: praise(() => [
    'The big shapes sit where the reference has them.',
    'You saw the big shapes first, and they are in their places.',
  ]),
  flat_tones: praise(() => 'Each tone is one flat value.'),
  pairs_hold: praise(({ pairs }) => {
    const where = pairs.length === 1 ? `On ${massName(pairs[0]?.object ?? '')}` : 'On every object';
    return `${where} all of the light is lighter than all of the shadow.`;
  }),
  in_their_steps: praise(() => 'Each mass keeps to the steps that it was given.'),
  decided: praise(() => [
    'It is decided: no shape is left between two tones, none is too thin to read.',
    'Every shape is one tone or the other, and each of them reads.',
  ]),
  flipped_shape: flippedShape,
  outside_steps: outsideSteps,
  pair_crossed: {
    say: ({ pair }) => `On ${massName(pair.object)} some of the shadow is lighter than some of the light.`,
    do: () =>
      'Decide once where its light ends: then keep every value of the shadow darker than every value of the light.',
  },
  overlap_lighter: {
    say: ({ overlap: { name, than } }) =>
      `${capital(massName(name))} is lighter than ${massName(than)}, and more of the lights are kept off it.`,
    do: () => 'Where two shadows lie on each other, go darker than either.',
  },
  missing_tone: {
    say: ({ tone, count }, names) => `Of ${count} tones one is missing: ${toneGroup(tone.index, names)}.`,
    do: ({ tone }) =>
      tone.referenceShare === null
        ? 'Mix it between its neighbours, and look in the set-up for where it belongs.'
        : 'Mix it between its neighbours and put it where the reference has it.',
  },
  shifted,
  tone_share: {
    say: ({ tone, share, referenceShare }, names) =>
      `There is ${share > referenceShare ? 'more' : 'less'} of ${toneGroup(tone, names)} than in the reference.`,
    do: () => 'Look along its outlines: they all lean one way.',
  },
  grey_for_black: greyForBlack,
  grey_for_white: {
    say: () => 'The light is a grey: it could go further.',
    do: () => 'Paint the light once more, with clean white and a clean brush.',
  },
  uneven_tone: {
    say: ({ tone }, names) => `The paint of ${toneGroup(tone, names)} is uneven: it reads as several values.`,
    do: () => 'A second coat, mixed through before it goes on.',
  },
  slivers: {
    say: ({ slivers }) => `${slivers} shapes are too thin to read from across the room.`,
    do: () => 'Let each run into what lies beside it: a lost edge is no mistake.',
  },
  sizes_alike: {
    say: () => 'Its shapes are all about the same size: nothing leads.',
    do: () => 'Join some into one large shape, keep a few small ones, and let one be the largest by far.',
  },
  ragged_edges: {
    say: () => 'Many of the edges are ragged: the eye stops at them.',
    do: () => 'Draw the brush along each edge once more, slowly, in one go.',
  },
  white_not_sparing: {
    say: ({ hasReference }) =>
      hasReference
        ? 'The lightest value takes more of the picture than the reference gives it.'
        : 'The lightest value takes a large part of the picture.',
    do: () => 'Keep it for last, and for the few places that are lightest of all.',
  },
  seams_stand_out: {
    say: () => 'Along some seams there is a line or a gap that is lighter or darker than both sides.',
    do: () => 'Bring the two values together until they touch, then mix the one in between for the seam.',
  },
};
