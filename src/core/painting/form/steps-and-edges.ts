/** Rules about the steps that shapes are allotted, and about the edges of all of them together. */
import { quantiles } from '../../fitting/quantile';
import { boxRound, ON_TOP, type FormShape, meanOf, type Side, valuesOf } from './form-plane';
import type { Asked, FormRequest, FormRule } from './rule';

/** Half a step beyond those that it is allotted a shape is still in the nearest of them. */
const WITHIN = 0.5;
/** A little more is what a hand may miss. */
const MISSES = 0.25;

/** The step of a value, 1 the lightest, parts of steps between. */
const stepOf = (lightness: number, lightest: number, step: number) => 1 + (lightest - lightness) / step;

export const outsideSteps: FormRule = {
  code: 'outside_steps',
  asks: ({ plane, step, lightest }) =>
    lightest === null
      ? []
      : plane.shapes.flatMap((shape): Asked[] => {
          const { steps, inside } = shape;
          if (!steps || inside.length === 0) return [];
          const middle = (steps.from + steps.to) / 2;
          const off = (side: Side) => stepOf(meanOf(plane, side, inside), lightest, step) - middle;
          // Towards the side on which the painting lies.
          const way = Math.sign(off('painted')) || 1;
          const far = (steps.to - steps.from) / 2 + WITHIN;
          return [
            {
              object: shape.object,
              names: [shape.name],
              value: way * off('painted'),
              reference: way * off('wanted'),
              sense: 'at most',
              limit: far + MISSES,
              margin: MISSES,
              box: boxRound(plane, [shape]),
            },
          ];
        }),
};

/** A step is used where this share of the places of allotted shapes is of it, and has to be where the reference has this much more. */
const USED = { limit: 0.003, margin: 0.015 } as const;

export const stepUnused: FormRule = {
  code: 'step_unused',
  asks: ({ plane, step, lightest }) => {
    const own = plane.shapes.filter((s) => s.steps && s.inside.length > 0);
    if (lightest === null || own.length === 0) return [];
    const asked = new Set(own.flatMap(({ steps }) => (steps ? range(steps.from, steps.to) : [])));
    return [...asked].flatMap((k): Asked[] => {
      const of = own.filter((s) => s.steps && s.steps.from <= k && s.steps.to >= k);
      const used = (side: Side) => {
        const values = of.flatMap((s) => [...valuesOf(plane, side, s.places)]);
        return values.filter((l) => Math.round(stepOf(l, lightest, step)) === k).length / Math.max(1, values.length);
      };
      return [
        {
          object: null,
          names: of.map((s) => s.name),
          value: used('painted'),
          reference: used('wanted'),
          sense: 'at least',
          ...USED,
          box: boxRound(plane, of),
        },
      ];
    });
  },
};

const range = (from: number, to: number) => Array.from({ length: to - from + 1 }, (_, k) => from + k);

/** Softer edges are so many times wider than harder ones, some left out at both ends, and plainly more in the reference. */
const ALIKE = { limit: 1.65, margin: 0.2 } as const;
const LEFT_OUT = 0.25;
/** Fewer stretches of edges say nothing of all of them. */
const LEAST_STRETCHES = 20;

export const edgesAlike: FormRule = {
  code: 'edges_alike',
  asks: ({ plane, edges }: FormRequest): Asked[] => {
    const things = new Set(plane.shapes.filter((s) => ON_TOP.includes(s.part)).map((s) => s.number));
    // Within one object light turns into shadow, which is form and no edge; and where one thing hides another there are two.
    const outer = edges.filter((e) => things.has(e.shape) && !things.has(e.neighbour));
    const shapes: FormShape[] = plane.shapes.filter((s) => outer.some((e) => e.shape === s.number));
    if (outer.length < LEAST_STRETCHES || shapes.length === 0) return [];
    const times = (side: Side) => {
      const [sharp, soft] = quantiles(
        outer.map((e) => e[side]),
        [LEFT_OUT, 1 - LEFT_OUT],
      );
      return soft / sharp;
    };
    return [
      {
        object: null,
        names: [],
        value: times('painted'),
        reference: times('wanted'),
        sense: 'at least',
        ...ALIKE,
        box: boxRound(plane, shapes),
      },
    ];
  },
};
