/** How a broken rule of form is put: what is seen, and one thing to do about it. */
import { capital, massName } from '../../naming';
import type { Words } from '../../rule';
import type { BrokenForm, FormFacts } from '../facts';

interface Put {
  readonly say: (rule: BrokenForm) => string;
  readonly do: string;
}

const ofObject = ({ object }: BrokenForm) => (object === null ? 'it' : massName(object));
const first = ({ names }: BrokenForm) => massName(names[0] ?? 'a shape');
const second = ({ names }: BrokenForm) => massName(names[1] ?? 'another');

const FORM: Record<BrokenForm['code'], Put> = {
  separation: {
    say: (rule) => `On ${ofObject(rule)} some of the shadow is as light as some of the light.`,
    do: 'Half close your eyes, and darken whatever in the shadow still looks lit.',
  },
  reflected_light: {
    say: (rule) =>
      `The reflected light on ${ofObject(rule)} is as light as its halftones: it still belongs to the shadow.`,
    do: 'Take it down until it is darker than anything that the light reaches.',
  },
  not_joined: {
    say: (rule) => `The shadow on ${ofObject(rule)} and the one it casts fall apart where they meet.`,
    do: 'Give both the same value where they touch, so that they read as one dark.',
  },
  cast_not_lightening: {
    say: (rule) => `${capital(first(rule))} does not get lighter as it runs away.`,
    do: 'Keep it darkest where it begins, and lift its far end.',
  },
  cast_edge_hard: {
    say: (rule) => `${capital(first(rule))} ends as sharply as it begins.`,
    do: 'Soften its far edge with a dry brush while the paint is wet.',
  },
  black_hole: {
    say: (rule) => `${capital(first(rule))} has become one black hole.`,
    do: 'Look for the light inside it, and lift it a step wherever you find some.',
  },
  counterchange: {
    say: (rule) => `${capital(first(rule))} should stand out the other way from what lies behind it.`,
    do: 'Compare the two along their edge: which of them is lighter?',
  },
  highlight_order: {
    say: (rule) => `${capital(first(rule))} and ${second(rule)} should not be equally bright.`,
    do: 'Find the brightest of them, and take the others down from it.',
  },
  overlap_not_darker: {
    say: () => 'Where two cast shadows lie over each other it should be darker than in either.',
    do: 'Go over the place that neither light reaches once more.',
  },
  outside_steps: {
    say: (rule) => `${capital(first(rule))} lies outside the steps that it was given.`,
    do: 'Hold it against your scale, and mix the nearest of its steps.',
  },
  step_unused: {
    say: () => 'One of the steps that the shapes were given is nowhere to be seen.',
    do: 'Go through your scale step by step, and look for where each of them belongs.',
  },
  edges_alike: {
    say: () => 'All edges are equally sharp.',
    do: 'Choose the few that should be sharp, and soften the others.',
  },
};

export const formBroken: Words<FormFacts, Record<never, never>> = {
  say: ({ rule }) => FORM[rule.code].say(rule),
  do: ({ rule }) => FORM[rule.code].do,
};
