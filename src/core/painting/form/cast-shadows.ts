/** Rules of cast shadows: they lighten and soften as they run away from what throws them, and none of them is a hole. */
import { median } from '../../fitting/quantile';
import { squaredDistances } from '../../raster/distance';
import { maskOf } from '../../raster/zone';
import {
  alongBorder,
  boxRound,
  type FormPlane,
  type FormShape,
  meanOf,
  ON_TOP,
  shareBelow,
  type Side,
} from './form-plane';
import { type Asked, broken, type EdgeWidth, type FormRequest, type FormRule } from './rule';

/** A cast shadow with the near and the far third of its places. */
interface Thrown {
  readonly cast: FormShape;
  readonly near: Int32Array;
  readonly far: Int32Array;
  readonly distance: Float64Array;
}

/** A shadow that reaches less far than this from its object, places from the near third to the far one, says nothing of distance. */
const LEAST_FAR = 5;

/** Every cast shadow whose object is seen, by the distance of its places from it. */
function thrown(plane: FormPlane): Thrown[] {
  const { width, height, shapes } = plane;
  return shapes
    .filter((s) => s.part === 'cast' && s.inside.length > 0)
    .flatMap((cast): Thrown[] => {
      const body = shapes.filter((s) => s.object === cast.object && s.part !== 'cast' && s.part !== 'ground');
      if (body.every((s) => s.places.length === 0)) return [];
      const mask = maskOf(Int32Array.from(body.flatMap((s) => [...s.places])), width * height);
      const distance = squaredDistances(mask, width, height).map(Math.sqrt);
      const byDistance = [...cast.inside].sort((a, b) => (distance[a] as number) - (distance[b] as number));
      const third = Math.floor(byDistance.length / 3);
      const [near, far] = [byDistance.slice(0, third), byDistance.slice(-third)];
      const mean = (own: number[]) => own.reduce((s, i) => s + (distance[i] as number), 0) / own.length;
      return third > 0 && mean(far) - mean(near) >= LEAST_FAR
        ? [{ cast, near: Int32Array.from(near), far: Int32Array.from(far), distance }]
        : [];
    });
}

/** The cast shadow lightens by this share of what it does in the reference. */
const LIGHTENS = 0.3;
/** And it is told only where the reference lightens by this, L*. */
const PLAINLY = 3;

/** A hole is not told again as a shadow that does not lighten. */
export const castNotLightening: FormRule = {
  code: 'cast_not_lightening',
  asks: (request) => {
    const { plane } = request;
    const holes = new Set(broken(blackHole, request).map((h) => h.names[0]));
    return thrown(plane)
      .filter(({ cast }) => !holes.has(cast.name))
      .map(({ cast, near, far }): Asked => {
        const lightens = (side: Side) => meanOf(plane, side, far) - meanOf(plane, side, near);
        const reference = lightens('wanted');
        const limit = LIGHTENS * Math.max(0, reference);
        return {
          object: cast.object,
          names: [cast.name],
          value: lightens('painted'),
          reference,
          sense: 'at least',
          limit,
          margin: Math.max(0, PLAINLY - limit),
          box: boxRound(plane, [cast]),
        };
      });
  },
};

/** The far edge of a cast shadow is so many times softer than the near one, and plainly more in the reference. */
const SOFTER = { limit: 1.2, margin: 0.3 } as const;
/** Where it is so in the reference, the painting's far edge keeps this share of its softness. */
const KEEPS = { limit: 0.65, margin: 0.3 } as const;
/** Stretches of its edge on either side that are needed to say anything. */
const LEAST_STRETCHES = 3;

export const castEdgeHard: FormRule = {
  code: 'cast_edge_hard',
  asks: ({ plane, edges, fromLife, step }) =>
    thrown(plane).flatMap(({ cast, distance }): Asked[] => {
      const others = new Set(plane.shapes.filter((s) => ON_TOP.includes(s.part)).map((s) => s.number));
      const own = edges
        .filter((e) => e.shape === cast.number && !others.has(e.neighbour))
        .sort((a, b) => (distance[a.at] as number) - (distance[b.at] as number));
      const third = Math.floor(own.length / 3);
      const shifted = Math.abs(meanOf(plane, 'painted', cast.inside) - meanOf(plane, 'wanted', cast.inside));
      // One that has another value is told as that: how soft it looks goes with how far it stands out.
      if (third < LEAST_STRETCHES || shifted > step) return [];
      const [near, far] = [own.slice(0, third), own.slice(-third)];
      const width = (of: readonly EdgeWidth[], side: Side) => median(of.map((e) => e[side]));
      const softer = (side: Side) => width(far, side) / width(near, side);
      // Against a reference far edges alone are compared: near ones lie half under the object.
      const plainly = !fromLife && softer('wanted') >= SOFTER.limit + SOFTER.margin;
      const asked = plainly
        ? { value: width(far, 'painted') / width(far, 'wanted'), reference: 1, ...KEEPS }
        : { value: softer('painted'), reference: softer('wanted'), ...SOFTER };
      const { object, name } = cast;
      return [{ object, names: [name], ...asked, sense: 'at least', box: boxRound(plane, [cast]) }];
    }),
};

/** A hole has less than this share of the reference's spread, and lies so near (steps) to the darkest of the painting; from life less than this, L*. */
const HOLE = { spread: 0.45, darkest: 0.4, least: 3, fromLife: 2 } as const;

/** Cast shadows that are one flat dark, darker than they should be. */
function holesIn({ plane, step, fromLife }: FormRequest): Asked[] {
  const everywhere = Int32Array.from(plane.numbers.keys());
  const darkest = shareBelow(plane, 'painted', everywhere, 0.02);
  return plane.shapes
    .filter((s) => s.part === 'cast' && s.inside.length > 0)
    .flatMap((cast): Asked[] => {
      const spread = (side: Side) =>
        shareBelow(plane, side, cast.inside, 0.75) - shareBelow(plane, side, cast.inside, 0.1);
      const [painted, wanted] = [meanOf(plane, 'painted', cast.inside), meanOf(plane, 'wanted', cast.inside)];
      const asDark = fromLife === true || painted <= wanted - 0.5 * step;
      if (painted > darkest + HOLE.darkest * step || !asDark) return [];
      const limit = fromLife ? HOLE.fromLife : HOLE.spread * spread('wanted');
      return [
        {
          object: cast.object,
          names: [cast.name],
          value: spread('painted'),
          reference: spread('wanted'),
          sense: 'at least',
          limit,
          margin: Math.max(0, HOLE.least - limit),
          box: boxRound(plane, [cast]),
        },
      ];
    });
}

export const blackHole: FormRule = { code: 'black_hole', asks: holesIn };

/** What two lights leave dark is darker than what either of them does, told where the reference has it so by this, L*. */
const DARKER = 2;

export const overlapNotDarker: FormRule = {
  code: 'overlap_not_darker',
  asks: ({ plane, lights }) => {
    if (lights < 2) return [];
    const casts = plane.shapes.filter((s) => s.part === 'cast' && s.inside.length > 0);
    return casts.flatMap((overlap): Asked[] => {
      const beside = casts.filter(
        (other) => other !== overlap && alongBorder(plane, overlap.places, other.places) !== null,
      );
      const lighter = (side: Side) =>
        Math.min(...beside.map((other) => meanOf(plane, side, other.inside))) - meanOf(plane, side, overlap.inside);
      // Of shadows that meet the overlap is the one that is darker than two others.
      if (beside.length < 2 || lighter('wanted') < DARKER) return [];
      return [
        {
          object: overlap.object,
          names: [overlap.name, ...beside.map((s) => s.name)],
          value: lighter('painted'),
          reference: lighter('wanted'),
          sense: 'at least',
          limit: 0.2 * lighter('wanted'),
          margin: 0,
          box: boxRound(plane, [overlap]),
        },
      ];
    });
  },
};
