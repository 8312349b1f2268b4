/** What is said of a correction that the teacher drew, to whom it is for. */
import { PAINTS } from '../../exercise/paints';
import { inSteps } from '../amounts';
import { capital, howFar, massName, place } from '../naming';
import type { Catalogue } from '../rule';
import type { Register } from '../voice';
import type { CorrectionFacts } from './facts';

type NoNames = Readonly<Record<string, never>>;
type Told = Catalogue<CorrectionFacts, NoNames>;

const called = ({ name, box }: CorrectionFacts['corrected_edge'], part: string): string =>
  name === null ? `${part} ${place(box)}` : massName(name);
const way = (by: number) => (by > 0 ? 'lighter' : 'darker');

/** What is less than this is no change: shares of the picture, times as large, degrees. */
const TELLS = { share: 0.004, size: 0.03, degrees: 1 } as const;

/** All that was done to where a thing stands, as one list of changes. */
function placeChanges({ dx, dy, wider, taller, turn }: CorrectionFacts['corrected_place']): string[] {
  const sized = (by: number, more: string, less: string) =>
    Math.abs(by - 1) > TELLS.size ? [by > 1 ? more : less] : [];
  return [
    ...(Math.abs(dx) > TELLS.share ? [`${howFar(Math.abs(dx))} to the ${dx > 0 ? 'right' : 'left'}`] : []),
    ...(Math.abs(dy) > TELLS.share ? [`${howFar(Math.abs(dy))} ${dy > 0 ? 'lower' : 'higher'}`] : []),
    ...sized(wider, 'wider', 'narrower'),
    ...sized(taller, 'taller', 'less tall'),
    ...(Math.abs(turn) > TELLS.degrees ? [`turned a little to the ${turn > 0 ? 'right' : 'left'}`] : []),
  ];
}
const listed = (facts: CorrectionFacts['corrected_place']): string => placeChanges(facts).join(', ') || 'as it is';
/** To a child one thing at a time. */
const firstOf = (facts: CorrectionFacts['corrected_place']): string => placeChanges(facts)[0] ?? 'as it is';
const inStep = ({ step }: CorrectionFacts['corrected_shape']) => (step === null ? '' : ` in ${step}`);

const CHILDREN: Told = {
  corrected_lightness: {
    say: (f) => `Look at the picture: ${called(f, 'the spot')} is ${way(f.by)} there.`,
    do: (f) => `Paint it ${way(f.by)}, by ${inSteps(f.steps)}.`,
  },
  corrected_edge: {
    say: (f) => `Look at the picture: ${called(f, 'the edge')} is soft there.`,
    do: () => 'Make it soft with a clean brush.',
  },
  corrected_glaze: {
    say: (f) => `Look at the picture: a thin coat of ${PAINTS[f.paint].name} lies on ${called(f, 'the spot')}.`,
    do: () => 'Let it dry first. Then put on one thin coat.',
  },
  corrected_place: {
    say: (f) => `Look at the picture: ${called(f, 'the thing')} is ${firstOf(f)} there.`,
    do: () => 'Look what is above it and what is next to it. Then paint it there.',
  },
  corrected_shape: {
    say: (f) => `Look at the picture: there is one more shape${inStep(f)}, ${called(f, 'here')}.`,
    do: () => 'Paint it in, flat and all in one go.',
  },
};

const BEGINNERS: Told = {
  corrected_lightness: {
    say: (f) => `In the correction ${called(f, 'the part')} is ${inSteps(f.steps)} ${way(f.by)}.`,
    do: (f) => `${f.by > 0 ? 'Lighten' : 'Darken'} it by ${inSteps(f.steps)}, and hold it against the correction.`,
  },
  corrected_edge: {
    say: (f) => `In the correction ${called(f, 'the edge')} goes over softly.`,
    do: () => 'Soften it with a clean brush while the paint is open, or with a value in between.',
  },
  corrected_glaze: {
    say: (f) => `In the correction a thin glaze of ${PAINTS[f.paint].name} lies over ${called(f, 'the part')}.`,
    do: () => 'Let it dry through, then lay the glaze thin and even. Try it on a scrap first.',
  },
  corrected_place: {
    say: (f) => `In the correction ${called(f, 'the thing')} is ${listed(f)}.`,
    do: () => 'Find its edges from what stands beside it before you repaint it.',
  },
  corrected_shape: {
    say: (f) => `In the correction there is a new shape${inStep(f)}, ${called(f, 'standing')}.`,
    do: () => 'Put it in flat, and judge it from across the room.',
  },
};

const ADVANCED: Told = {
  corrected_lightness: {
    say: (f) => `${capital(called(f, 'the passage'))}, ${inSteps(f.steps)} ${way(f.by)}: see the correction.`,
    do: (f) => `${f.by > 0 ? 'Raise' : 'Lower'} it as one mass, and leave what happens inside it alone.`,
  },
  corrected_edge: {
    say: (f) => `${capital(called(f, 'the edge'))}, lost a little: see the correction.`,
    do: () => 'Lose it where the values on both sides are nearest.',
  },
  corrected_glaze: {
    say: (f) => `A glaze of ${PAINTS[f.paint].name} over ${called(f, 'the passage')}: see the correction.`,
    do: () => 'On a dry surface, thin, and lighter below than you want it to end.',
  },
  corrected_place: {
    say: (f) => `${capital(called(f, 'the form'))}, ${listed(f)}: see the correction.`,
    do: () => 'Restate it from the shapes around it.',
  },
  corrected_shape: {
    say: (f) => `A new shape${inStep(f)}, ${called(f, 'standing')}: see the correction.`,
    do: () => 'State it once, in one value.',
  },
};

export const CORRECTION_WORDS: Record<Register, Told> = {
  children: CHILDREN,
  beginners: BEGINNERS,
  advanced: ADVANCED,
};
