/** Rules that hold within one object under a light: its light and its shadow, and what belongs to each. */
import {
  alongBorder,
  boxRound,
  type FormShape,
  insideOfAll,
  meanOf,
  objectsWith,
  placesOfAll,
  shareBelow,
} from './form-plane';
import type { FormPlane, Side } from './form-plane';
import type { Asked, FormRule } from './rule';

const namesOf = (shapes: readonly FormShape[]) => shapes.map((s) => s.name);
const partsOf = ({ shapes }: FormPlane, object: string, parts: readonly string[]) =>
  shapes.filter((s) => s.object === object && s.places.length > 0 && parts.includes(s.part ?? ''));

/** Its lights are lighter than its shadows, all but a twentieth of each. */
export const separation: FormRule = {
  code: 'separation',
  asks: ({ plane }) =>
    objectsWith(plane, ['shadow']).flatMap(({ object, of }): Asked[] => {
      const lights = partsOf(plane, object, ['lit', 'halftone']);
      if (lights.length === 0) return [];
      const apart = (side: Side) =>
        shareBelow(plane, side, insideOfAll(lights), 0.05) - shareBelow(plane, side, insideOfAll(of.shadow), 0.95);
      const shapes = [...lights, ...of.shadow];
      return [
        {
          object,
          names: namesOf(shapes),
          value: apart('painted'),
          reference: apart('wanted'),
          sense: 'at least',
          limit: 0,
          margin: 2.5,
          box: boxRound(plane, shapes),
        },
      ];
    }),
};

/** Reflected light belongs to the shadow: darker than the halftones of its object, by half a step where the rule wins. */
export const reflectedLight: FormRule = {
  code: 'reflected_light',
  asks: ({ plane, step, ruleWins }) =>
    objectsWith(plane, ['reflected']).flatMap(({ object, of }): Asked[] => {
      const halftones = partsOf(plane, object, ['halftone']);
      const against = halftones.length > 0 ? halftones : partsOf(plane, object, ['lit']);
      const reflected = of.reflected.filter((s) => s.material === 'matt');
      if (against.length === 0 || reflected.length === 0) return [];
      const above = (side: Side) =>
        shareBelow(plane, side, insideOfAll(reflected), 0.5) - shareBelow(plane, side, insideOfAll(against), 0.1);
      return [
        {
          object,
          names: namesOf([...reflected, ...against]),
          value: above('painted'),
          reference: above('wanted'),
          sense: 'at most',
          limit: ruleWins ? -step / 2 : 0,
          margin: 1.5,
          box: boxRound(plane, reflected),
        },
      ];
    }),
};

/** Shadow and cast shadow are one piece where they meet: neither a step apart nor with a light between them. */
export const notJoined: FormRule = {
  code: 'not_joined',
  asks: ({ plane, step }) =>
    objectsWith(plane, ['shadow', 'cast']).flatMap(({ object, of }): Asked[] => {
      const shadows = [...of.shadow, ...partsOf(plane, object, ['reflected'])];
      const border = alongBorder(plane, placesOfAll(shadows), placesOfAll(of.cast));
      if (!border) return [];
      const apart = (side: Side) => {
        const [shadow, cast] = [meanOf(plane, side, border.first), meanOf(plane, side, border.second)];
        const light = shareBelow(plane, side, border.between, 0.5) - Math.max(shadow, cast);
        return Math.max(Math.abs(shadow - cast), light);
      };
      return [
        {
          object,
          names: namesOf([...shadows, ...of.cast]),
          value: apart('painted'),
          reference: apart('wanted'),
          sense: 'at most',
          limit: step,
          margin: step / 4,
          box: boxRound(plane, [...of.shadow, ...of.cast]),
        },
      ];
    }),
};

/** An object against what lies behind it: where the reference has it plainly lighter or darker, it is not the other way round. */
export const counterchange: FormRule = {
  code: 'counterchange',
  asks: ({ plane, step }) =>
    [...new Set(plane.shapes.map((s) => s.object))].flatMap((object) => {
      const own = plane.shapes.filter((s) => s.object === object && s.part !== 'cast' && s.part !== 'ground');
      const numbers = new Set(own.map((s) => s.number));
      const behind = Int32Array.from(plane.numbers.keys()).filter((i) => !numbers.has(plane.numbers[i] as number));
      return own
        .filter((s) => s.part === 'lit' || s.part === 'shadow' || s.part === 'halftone')
        .flatMap((shape): Asked[] => {
          const border = alongBorder(plane, shape.places, behind);
          if (!border) return [];
          const lighter = (side: Side) => meanOf(plane, side, border.first) - meanOf(plane, side, border.second);
          const reference = lighter('wanted');
          return [
            {
              object,
              names: [shape.name],
              // The way round that the reference has it counts as above.
              value: Math.sign(reference) * lighter('painted'),
              reference: Math.abs(reference),
              sense: 'at least',
              limit: -step / 4,
              margin: step,
              box: boxRound(plane, [shape]),
            },
          ];
        });
    }),
};

/** Of two highlights the one that is plainly brighter in the reference stays so. */
export const highlightOrder: FormRule = {
  code: 'highlight_order',
  asks: ({ plane }) => {
    const highlights = plane.shapes.filter((s) => s.part === 'highlight' && s.places.length > 0);
    return highlights.flatMap((a, k) =>
      highlights.slice(k + 1).map((b): Asked => {
        const apart = (side: Side) => meanOf(plane, side, a.inside) - meanOf(plane, side, b.inside);
        const reference = apart('wanted');
        return {
          object: a.object === b.object ? a.object : null,
          names: [a.name, b.name],
          value: Math.sign(reference) * apart('painted'),
          reference: Math.abs(reference),
          sense: 'at least',
          limit: 0.2 * Math.abs(reference),
          margin: Math.max(0, 3 - 0.2 * Math.abs(reference)),
          box: boxRound(plane, [a, b]),
        };
      }),
    );
  },
};
