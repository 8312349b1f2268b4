/** Rules about colour, where the exercise asks for it: what all of it is off by is told once, then what single shapes are. */
import { ofShape, PICTURE, type Rule } from '../../rule';
import type {
  AccentsFacts,
  CastFacts,
  ColouredPart,
  ColourFacts,
  PaintingFacts,
  PaintingReading,
  Turn,
  WarmthFacts,
} from '../facts';

/** Told of at the most. */
const MOST_PARTS = 7;
/**
 * How far, in a* and b*, a colour may be off: from about 5 on two patches side by side are plainly of different colour. Where
 * no coloured patches stood beside them a camera may show colours as far off by itself.
 */
const TOLERANCE = { measured: 6, assumed: 10 } as const;
/** A whole that has less, or more, of the reference's differences in colour is dull, or loud. */
const STRENGTH = { least: 0.7, most: 1.4 } as const;
/** So much colour weighs as much as a step of nine; and values come first. */
const STEP_OF_COLOUR = 10;
const AFTER_VALUES = 0.5;
/** A whole that is off weighs as much as a part of this share of the picture that is. */
const WHOLE_AREA = 0.36;

const round1 = (v: number) => Math.round(v * 10) / 10;
const round2 = (v: number) => Math.round(v * 100) / 100;

type PaintingRule<C extends keyof PaintingFacts> = Rule<C, PaintingReading, PaintingFacts[C]>;

const toleranceOf = ({ result }: PaintingReading): number => TOLERANCE[result.capture.colour ?? 'assumed'];

/** Which of the four hues an error leads to. */
function hueTurn(a: number, b: number): Turn {
  if (Math.abs(b) >= Math.abs(a)) return b > 0 ? 'yellow' : 'blue';
  return a > 0 ? 'red' : 'green';
}

/** More or less colour, where most of the error is that; else the hue that it leads to. */
function turnOf({ residualA, residualB, residualChroma }: ColouredPart): Turn {
  const off = Math.hypot(residualA, residualB);
  if (Math.abs(residualChroma) < 0.8 * off) return hueTurn(residualA, residualB);
  return residualChroma > 0 ? 'strong' : 'dull';
}

const offOf = ({ residualA, residualB }: ColouredPart): number => Math.hypot(residualA, residualB);

const partsOf = (reading: PaintingReading): ColourFacts[] =>
  (reading.result.colour?.parts ?? []).map((part) => ({
    ...{ part, turn: turnOf(part), off: offOf(part) },
    tolerance: toleranceOf(reading),
  }));

const weightOf = (off: number, tolerance: number, area: number): number =>
  AFTER_VALUES * ((off - tolerance) / STEP_OF_COLOUR) * Math.sqrt(area);

/** From here on a shadow is plainly warmer or cooler than its light, share of what a colour may be off by. */
const PLAINLY = 0.5;

/** Shadows that are plainly warmer or cooler than their lights, in the painting and in the reference. */
function plainWarmths(reading: PaintingReading): WarmthFacts[] {
  const tolerance = toleranceOf(reading);
  const off = new Set(partsOf(reading).flatMap((p) => (p.off > tolerance ? [p.part.shape] : [])));
  // A light or a shadow in another colour is told by itself, and mends this too.
  return (reading.result.colour?.warmths ?? [])
    .filter(({ shadows, lights }) => ![...shadows, ...lights].some((name) => off.has(name)))
    .filter(({ wanted, painted }) => Math.min(Math.abs(wanted), Math.abs(painted)) > PLAINLY * tolerance);
}

const isTurned = ({ wanted, painted }: WarmthFacts): boolean => wanted > 0 !== painted > 0;

const coloursHold: PaintingRule<'colours_hold'> = {
  code: 'colours_hold',
  kind: 'works',
  reads: (reading) => {
    const parts = partsOf(reading);
    if (parts.length === 0) return [];
    const off = parts.filter((p) => p.off > p.tolerance).length + plainWarmths(reading).filter(isTurned).length;
    return [{ subject: PICTURE, facts: { parts: off } }];
  },
  tells: ({ parts }) => parts === 0,
  weight: () => 0,
  evidence: () => ({ parts: 0 }),
  source: 'no shape is further from its colour than two patches side by side may be',
};

const colourStrength: PaintingRule<'colour_strength'> = {
  code: 'colour_strength',
  kind: 'fix',
  reads: ({ result: { colour } }) =>
    colour?.strength == null ? [] : [{ subject: PICTURE, facts: { strength: colour.strength } }],
  tells: ({ strength }) => strength < STRENGTH.least || strength > STRENGTH.most,
  weight: ({ strength }) => AFTER_VALUES * Math.abs(1 - strength),
  evidence: ({ strength }) => ({ strength: round2(strength) }),
  source: 'a third of the differences in colour gone is seen at a glance; a little more of them seldom is a fault',
};

const colourCast: PaintingRule<'colour_cast'> = {
  code: 'colour_cast',
  kind: 'fix',
  reads: (reading) => {
    const cast = reading.result.colour?.cast;
    if (!cast) return [];
    const facts: CastFacts = {
      cast,
      turn: hueTurn(cast.a, cast.b),
      off: Math.hypot(cast.a, cast.b),
      tolerance: toleranceOf(reading),
    };
    return [{ subject: PICTURE, facts }];
  },
  tells: ({ off, tolerance }) => off > tolerance,
  weight: ({ off, tolerance }) => weightOf(off, tolerance, WHOLE_AREA),
  evidence: ({ cast }) => ({ a: round1(cast.a), b: round1(cast.b) }),
  source: 'what is too yellow everywhere is one mistake, and told once',
};

const colourOff: PaintingRule<'colour_off'> = {
  code: 'colour_off',
  kind: 'fix',
  reads: (reading) =>
    partsOf(reading).map((facts) => ({
      subject: ofShape(facts.part.id, facts.part.shape ?? undefined, facts.part.box),
      facts,
    })),
  tells: ({ off, tolerance }) => off > tolerance,
  most: MOST_PARTS,
  weight: ({ off, tolerance, part }) => weightOf(off, tolerance, part.area),
  evidence: ({ part }) => ({ a: round1(part.residualA), b: round1(part.residualB), area: round2(part.area) }),
  source: 'what is left beside the colour of the whole, beyond what two patches side by side may differ by',
};

const colourElsewhere: PaintingRule<'colour_elsewhere'> = {
  code: 'colour_elsewhere',
  kind: 'fix',
  reads: ({ result: { colour } }) =>
    colour?.strongest
      ? [{ subject: ofShape('strongest', undefined, colour.strongest.painted), facts: colour.strongest }]
      : [],
  tells: () => true,
  weight: () => AFTER_VALUES * 0.2,
  evidence: () => ({}),
  source: 'the eye goes to the strongest colour: a fifth of it weaker where it was meant, and it goes elsewhere',
};

const shadowWarmth: PaintingRule<'shadow_warmth'> = {
  code: 'shadow_warmth',
  kind: 'fix',
  reads: (reading) =>
    plainWarmths(reading).map((facts) => ({
      subject: ofShape(`${facts.object} warmth`, facts.shadows[0], facts.box),
      facts,
    })),
  tells: isTurned,
  weight: ({ wanted, painted, box }) =>
    AFTER_VALUES * (Math.abs(wanted - painted) / STEP_OF_COLOUR) * Math.sqrt(box.width * box.height),
  evidence: ({ wanted, painted }) => ({ wanted: round1(wanted), painted: round1(painted) }),
  source: 'shadows turn the other way than lights: which of them is warmer is seen before how warm each is',
};

/** Another colour in a painting of one hue is seen from across the room, small as it may be. */
const ACCENT_WEIGHT = 0.25;

const accentsIn = ({ result: { accentsOfColour: found } }: PaintingReading) => {
  const largest = found?.places[0];
  return found && largest ? [{ subject: ofShape('accent', undefined, largest.box), facts: found }] : [];
};
const accentEvidence = ({ places }: AccentsFacts) => ({ places: places.length, off: round1(places[0]?.off ?? 0) });

const accentOfColour: PaintingRule<'accent_of_colour'> = {
  code: 'accent_of_colour',
  kind: 'fix',
  reads: accentsIn,
  tells: ({ allowed, places }) => places.length > (allowed ? 1 : 0),
  weight: () => ACCENT_WEIGHT,
  evidence: accentEvidence,
  source: 'paints of one mix stay near the way on which their greys run; what is far off it is another colour',
};

const accentAlone: PaintingRule<'accent_alone'> = {
  code: 'accent_alone',
  kind: 'works',
  reads: accentsIn,
  tells: ({ allowed, places }) => allowed && places.length === 1,
  weight: () => 0,
  evidence: accentEvidence,
  source: 'the eye goes to the one place that is of another colour',
};

export const COLOUR_RULES = {
  colours_hold: coloursHold,
  colour_strength: colourStrength,
  colour_cast: colourCast,
  colour_off: colourOff,
  colour_elsewhere: colourElsewhere,
  shadow_warmth: shadowWarmth,
  accent_of_colour: accentOfColour,
  accent_alone: accentAlone,
} as const;
