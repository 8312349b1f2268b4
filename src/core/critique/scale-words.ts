/** The sentences of a scale critique, one entry a code: what is seen, and one thing to do about it. */
import type { ValueCode } from './diagnose';

export interface ValueFacts {
  /** Class labels of the steps to repaint. */
  readonly steps: readonly string[];
  /** Class labels of the two steps of a gap. */
  readonly pair: readonly [string, string] | null;
  /** Whether both steps of the pair are to be repainted. */
  readonly bothOfPair: boolean;
  /** Mean error in steps; positive is too light. */
  readonly error: number;
  /** Width of the gap in even gaps. */
  readonly gap: number;
  /** Whether step 1 is the white end. */
  readonly lightFirst: boolean;
}

export function list(labels: readonly string[]): string {
  if (labels.length <= 1) return labels[0] ?? '';
  return `${labels.slice(0, -1).join(', ')} and ${labels.at(-1)}`;
}

const AMOUNTS: readonly (readonly [upTo: number, words: string])[] = [
  [0.18, 'a touch'],
  [0.29, 'a quarter of a step'],
  [0.41, 'a third of a step'],
  [0.6, 'half a step'],
  [0.85, 'three quarters of a step'],
  [1.15, 'a whole step'],
  [1.6, 'a step and a half'],
  [2.5, 'two steps'],
];

/** A distance in steps as it is said in the studio; the sign is left out. */
export function inSteps(steps: number): string {
  const size = Math.abs(steps);
  return AMOUNTS.find(([upTo]) => size <= upTo)?.[1] ?? `${Math.round(size)} steps`;
}

const named = (labels: readonly string[]) => `${labels.length > 1 ? 'Steps' : 'Step'} ${list(labels)}`;
const isAre = (labels: readonly string[]) => (labels.length > 1 ? 'are' : 'is');

function remix(f: ValueFacts): string {
  const way = f.error > 0 ? 'darker' : 'lighter';
  const how = f.error > 0 ? 'a little black, then look' : 'more white, then look';
  return `Mix ${f.steps.length > 1 ? 'steps' : 'step'} ${list(f.steps)} once more, ${inSteps(f.error)} ${way}: ${how}.`;
}

function pairOr(f: ValueFacts, words: (a: string, b: string) => string, otherwise: string): string {
  return f.pair ? words(f.pair[0], f.pair[1]) : otherwise;
}

export const VALUE_WORDS: Record<ValueCode, { say(f: ValueFacts): string; do(f: ValueFacts): string }> = {
  weak_black: {
    say: (f) =>
      `The black does not get down: ${named(f.steps).toLowerCase()} ${isAre(f.steps)} ${inSteps(f.error)} lighter than this paint can go, and the scale is squeezed from below.`,
    do: (f) =>
      `Paint step ${list(f.steps)} again with black as it comes from the tube, thick enough that no white shines through.`,
  },
  weak_white: {
    say: (f) => `The white end is ${inSteps(f.error)} too dark, so the scale starts too low.`,
    do: (f) => `Paint step ${list(f.steps)} again with clean white and a clean brush.`,
  },
  reversed: {
    say: (f) =>
      pairOr(
        f,
        (a, b) =>
          `Steps ${a} and ${b} stand the wrong way round: ${b} is the ${f.lightFirst ? 'lighter' : 'darker'} of the two.`,
        `${named(f.steps)} break the order of the scale.`,
      ),
    do: (f) =>
      f.bothOfPair ? `Mix ${list(f.steps)} again side by side, and squint at both before you paint them.` : remix(f),
  },
  too_close: {
    say: (f) =>
      pairOr(
        f,
        (a, b) =>
          f.gap < 0.18
            ? `Steps ${a} and ${b} are almost the same grey.`
            : `Steps ${a} and ${b} are too close: ${inSteps(f.gap)} lies between them.`,
        `${named(f.steps)} sit too close to their neighbours.`,
      ),
    do: remix,
  },
  too_wide: {
    say: (f) =>
      pairOr(
        f,
        (a, b) => `Between ${a} and ${b} the scale jumps by ${inSteps(f.gap)}.`,
        `${named(f.steps)} leave a jump beside them.`,
      ),
    do: remix,
  },
  off_target: {
    say: (f) => `${named(f.steps)} ${isAre(f.steps)} ${inSteps(f.error)} too ${f.error > 0 ? 'light' : 'dark'}.`,
    do: remix,
  },
};

export const CRAFT_WORDS = {
  streaky: {
    say: (label: string) =>
      `Step ${label} is streaky: the mix was not stirred right through, or the brush still held another.`,
    do: (label: string) =>
      `Stir the mix for step ${label} until no streak shows on the palette, then lay it on in one direction.`,
  },
  bare_ground: {
    say: (label: string) => `In step ${label} the paper shows through the paint.`,
    do: (label: string) => `Give step ${label} a second coat of the same mix, thick enough to cover.`,
  },
  over_the_line: {
    say: (label: string) => `The paint of step ${label} runs past its line.`,
    do: (label: string) => `Cut the edge of step ${label} first with a flat brush, then fill the middle.`,
  },
  built_up_edge: {
    say: (label: string) =>
      `Paint has gathered along the edge of step ${label}, so that its rim is another grey than its middle.`,
    do: (label: string) =>
      `Take up what gathers at the edge of step ${label} with a dry brush before it sets, or use less water.`,
  },
  line_shows: {
    say: (label: string) => `The printed line still shows round step ${label}.`,
    do: (label: string) => `Bring the paint of step ${label} just over its line.`,
  },
  drift_warm: {
    say: (label: string) => `Step ${label} leans warm beside its neighbours.`,
    do: (label: string) =>
      `Rinse the brush and mix step ${label} once more from clean white and the same black as the others.`,
  },
  drift_cool: {
    say: (label: string) => `Step ${label} leans cool beside its neighbours.`,
    do: (label: string) =>
      `Mix step ${label} once more with the same black as the others; a touch of an earth colour brings it back.`,
  },
  hue_turn: {
    say: (label: string) => `The colour turns in step ${label}: it is no longer the same hue as the others.`,
    do: (label: string) =>
      `Mix step ${label} again from the pure colour, and add white or black only in small amounts.`,
  },
} as const;

export const WORKS_WORDS = {
  even: () => 'The steps run evenly from one end to the other, with no jump and no two alike.',
  even_part: (from: string, to: string) => `From ${from} to ${to} the steps are even.`,
  ends: () => 'Both ends are where the paint can go: a clean white and a real black.',
  black: () => 'The black is a real black: as dark as the paint goes.',
  white: () => 'The white is clean.',
  order: () => 'The order holds from one end to the other.',
  flat: () => 'The paint lies flat and covers, from edge to edge.',
  on_target: (steps: string) => `Right on the value: ${steps}.`,
} as const;

const chipSays = (what: string, why: string) => ({
  say: (at: string, to: string, darker: boolean) =>
    `The ${what} under ${at} is as ${darker ? 'dark' : 'light'} as ${to}${why}.`,
  do: (to: string) => `Lay it beside ${to} and squint: where the seam goes, it is at home.`,
});

/** Chips of colour that lie under a grey which is not as light, by what kind of colour they are. */
export const CHIP_WORDS = {
  pure: chipSays('strong colour', '; strong colours look lighter than they are'),
  tint: chipSays('tint', ''),
  dark: chipSays('dulled colour', ''),
  grey: chipSays('grey chip', ''),
} as const;
