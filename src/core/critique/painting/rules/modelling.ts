/**
 * Rules about what lies between two values: how a shape goes over from its light side to its dark one, and how shapes that meet
 * stand out of each other. Both shapes may be nearly right, and what lies between them wrong.
 */
import { ofShape, type Rule } from '../../rule';
import { isOfTheirEdge } from './one-thing-once';
import type { ContrastFacts, GradientFacts, GradientFault, MassRead, PaintingFacts, PaintingReading } from '../facts';

/** Told of at the most, of each. */
const [MOST_GRADIENTS, MOST_CONTRASTS] = [3, 3];
/** From one side of a shape to the other may be amiss what so many steps beside the tolerance are. */
const GRADIENT_SLACK = 0.6;
/** A shape that goes over by less than this, steps, is of one value. */
const ONE_VALUE = 0.75;
/** And one that goes over by less than this share of what it should is flat. */
const FLAT = 0.6;
/** Contrasts may be off by what so many steps beside the tolerance are: two shapes may each be off by that much. */
const CONTRAST_SLACK = 0.1;
/** So much chroma and hue (CIE 1976) set two shapes apart as much as a step does. */
const STEP_OF_COLOUR = 10;
/** One stands in the place of the other from so many steps too much of it, and too little of the other, on. */
const INSTEAD = 0.5;
/** What lies across a shape is seen in half of it. */
const SIDE = 0.5;

const round2 = (v: number) => Math.round(v * 100) / 100;

type ModellingRule<C extends keyof PaintingFacts> = Rule<C, PaintingReading, PaintingFacts[C]>;

function faultOf({ wanted, painted, across }: NonNullable<MassRead['gradient']>, step: number): GradientFault {
  if (across.wanted < ONE_VALUE * step) return 'uneven';
  const along = (painted.x * wanted.x + painted.y * wanted.y) / Math.max(1e-9, wanted.x ** 2 + wanted.y ** 2);
  if (along < -FLAT) return 'turned';
  if (along < FLAT && across.painted < across.wanted) return 'flat';
  return along > 1 ? 'steep' : 'turned';
}

/** Parts of a shape that are off the same way are told as that; where its sides are off against each other it is its gradient. */
function isGradient({ regions }: PaintingReading['result'], name: string): boolean {
  const ways = new Set(regions.filter((r) => r.shape === name).map((r) => Math.sign(r.residual)));
  return ways.size !== 1;
}

/** Shapes whose gradient is off. */
export const gradientsOff = ({ result, step, tolerance }: PaintingReading): GradientFacts[] =>
  result.shapes.flatMap((shape): GradientFacts[] => {
    const { gradient } = shape;
    const limit = (tolerance + GRADIENT_SLACK) * step;
    // What is too lively goes over from light to dark everywhere, and what reaches too far does so at its edge.
    const lively = result.extents.some((e) => e.kind === 'detail' && e.name === shape.name);
    return gradient &&
      !lively &&
      !isOfTheirEdge(shape.name, result.extents) &&
      gradient.across.off > limit &&
      isGradient(result, shape.name)
      ? [{ shape, fault: faultOf(gradient, step), steps: gradient.across.off / step }]
      : [];
  });

const gradientOff: ModellingRule<'gradient_off'> = {
  code: 'gradient_off',
  kind: 'fix',
  reads: (reading) =>
    gradientsOff(reading).map((facts) => ({
      subject: ofShape(facts.shape.name, facts.shape.name, facts.shape.box),
      facts,
    })),
  tells: () => true,
  most: MOST_GRADIENTS,
  weight: ({ shape, steps }) => SIDE * steps * Math.sqrt(shape.area),
  evidence: ({ shape: { gradient }, steps }) => ({
    steps: round2(steps),
    wanted: round2(gradient?.across.wanted ?? 0),
    painted: round2(gradient?.across.painted ?? 0),
  }),
  source: 'a plane through each shape: half of what is amiss from side to side is what each side is off by',
};

/** What sets two shapes apart in the place of what should: "less white, more colour". */
function insteadOf({ lightness, chroma, hue }: ContrastFacts['contrast'], step: number): ContrastFacts['instead'] {
  if (!chroma || !hue) return null;
  const lighter = (Math.abs(lightness.painted) - Math.abs(lightness.wanted)) / step;
  const coloured = (of: 'painted' | 'wanted') => Math.hypot(chroma[of], hue[of]);
  const stronger = (coloured('painted') - coloured('wanted')) / STEP_OF_COLOUR;
  if (lighter > INSTEAD && stronger < -INSTEAD) return 'white';
  return lighter < -INSTEAD && stronger > INSTEAD ? 'colour' : null;
}

/** Of two shapes the one that is given less weight than usual; null where neither is. */
function quietOf({ between }: ContrastFacts['contrast'], { shapes }: PaintingReading['result']): string | null {
  const [quiet] = shapes
    .filter(({ name, emphasis }) => between.includes(name) && emphasis < 1)
    .sort((a, b) => a.emphasis - b.emphasis);
  return quiet?.name ?? null;
}

const contrastOff: ModellingRule<'contrast_off'> = {
  code: 'contrast_off',
  kind: 'fix',
  reads: (reading) => {
    const { result, step, tolerance } = reading;
    const { contrasts, regions } = result;
    const told = new Set([...regions.map((r) => r.shape), ...gradientsOff(reading).map((g) => g.shape.name)]);
    return contrasts
      .map((contrast): ContrastFacts => {
        const { wanted, painted } = contrast.lightness;
        // Which of the two is the lighter one is what was wanted; seen from there more is further apart.
        const steps = (Math.sign(wanted || 1) * (painted - wanted)) / step;
        return {
          contrast,
          steps,
          instead: insteadOf(contrast, step),
          shouts: steps > 0 ? quietOf(contrast, result) : null,
        };
      })
      .filter(
        ({ contrast, steps, instead }) =>
          !contrast.between.some((name) => told.has(name)) &&
          (Math.abs(steps) > tolerance + CONTRAST_SLACK || instead !== null),
      )
      .map((facts) => ({
        subject: ofShape(`contrast ${facts.contrast.between.join(' and ')}`, undefined, facts.contrast.box),
        facts,
      }));
  },
  tells: () => true,
  most: MOST_CONTRASTS,
  weight: ({ contrast: { box }, steps }) => SIDE * Math.abs(steps) * Math.sqrt(box.width * box.height),
  evidence: ({ contrast: { lightness, chroma, hue }, steps }) => ({
    steps: round2(steps),
    wanted: round2(lightness.wanted),
    painted: round2(lightness.painted),
    ...(chroma && { chromaWanted: round2(chroma.wanted), chromaPainted: round2(chroma.painted) }),
    ...(hue && { hueWanted: round2(hue.wanted), huePainted: round2(hue.painted) }),
  }),
  source: 'two shapes that may each be off a little are seen by what lies between them; CIE 1976 differences',
};

export const MODELLING_RULES = { gradient_off: gradientOff, contrast_off: contrastOff } as const;
