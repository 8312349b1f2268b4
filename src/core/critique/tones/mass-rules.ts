/** Rules about named masses: steps that they were allotted, light and shadow of one object, shadows that lie on each other. */
import { shareBoxRound } from '../../geometry/share-box';
import { ofShape, PICTURE, type Rule } from '../rule';
import type { MassFacts, PairFacts, ToneFacts, ToneReading } from './facts';

/** A shadow that is lighter (L*) than the light of its object by less is no doubt of the eye. */
const CROSSED = 1;
/** So much of a mass in its steps is a mass that keeps to them, and so many masses make it worth saying. */
const KEPT = 0.95;
const SEVERAL = 2;
/** A mass that strays from its steps by less, as a share of it and of the picture, is the student's choice. */
const MUCH = 0.1;
const LEAST = 0.003;
/** Share of the picture that a shadow is taken for where it is no named mass. */
const SMALL = 0.01;

const round2 = (v: number) => Math.round(v * 100) / 100;

type ToneRule<C extends keyof ToneFacts> = Rule<C, ToneReading, ToneFacts[C]>;

/** A step of the exercise, L*. */
const stepOf = ({ result, ends }: ToneReading) => (ends.light - ends.dark) / Math.max(1, result.tones.length - 1);

/** What a person's masses have outside of their steps: said once for a mass, however many parts it is in. */
function strayed({ result }: ToneReading): MassFacts[] {
  if (result.reference !== 'masses') return [];
  return result.masses.flatMap((mass) => {
    if (!mass.steps || !mass.outside) return [];
    const { tone, share } = mass.outside;
    const wanted = Math.min(mass.steps.to, Math.max(mass.steps.from, tone));
    return [{ mass, tone, wanted, share, area: share * mass.share }];
  });
}
const strays = ({ share, area }: MassFacts) => share >= MUCH && area >= LEAST;

const pairsHold: ToneRule<'pairs_hold'> = {
  code: 'pairs_hold',
  kind: 'works',
  reads: ({ result: { pairs } }) => (pairs.length === 0 ? [] : [{ subject: PICTURE, facts: { pairs } }]),
  tells: ({ pairs }) => pairs.every((p) => p.separation > CROSSED),
  weight: () => 0,
  evidence: ({ pairs }) => ({ separation: pairs.map((p) => round2(p.separation)) }),
  source: 'two flat patches side by side are told apart from about one L*',
};

const inTheirSteps: ToneRule<'in_their_steps'> = {
  code: 'in_their_steps',
  kind: 'works',
  reads: ({ result: { masses } }) => {
    const inside = masses.flatMap((m) => (m.inside === null ? [] : [m.inside]));
    return [{ subject: PICTURE, facts: { inside } }];
  },
  tells: ({ inside }) => inside.length >= SEVERAL && inside.every((share) => share >= KEPT),
  weight: () => 0,
  evidence: ({ inside }) => ({ inside: inside.map(round2) }),
  source: 'what is left is the hand along outlines',
};

const outsideSteps: ToneRule<'outside_steps'> = {
  code: 'outside_steps',
  kind: 'fix',
  reads: (reading) =>
    strayed(reading).map((facts) => {
      const { name, box } = facts.mass;
      const region = reading.result.regions.find((r) => r.shape === name);
      return { subject: ofShape(name, name, region?.box ?? box), facts };
    }),
  tells: strays,
  weight: ({ tone, wanted, area, mass }) => Math.abs(tone - wanted) * Math.sqrt(area) * mass.emphasis,
  evidence: ({ area, tone, mass: { steps } }) => ({
    area: round2(area),
    drawn: tone,
    ...(steps && { from: steps.from, to: steps.to }),
  }),
  source: 'a tenth of the mass, and more of the picture than a stray outline',
};

/** Light and shadow of one object. What was said of a shape is not said again of its pair. */
function pairFacts(reading: ToneReading): PairFacts[] {
  const { pairs, regions, masses } = reading.result;
  const told = new Set([
    ...regions.map((r) => r.shape),
    ...strayed(reading)
      .filter(strays)
      .map((f) => f.mass.name),
  ]);
  return pairs.map((pair) => {
    const names = [...pair.lit, ...pair.shadow];
    const own = masses.filter((m) => names.includes(m.name));
    return {
      pair,
      due: Math.min(0, pair.wanted ?? 0),
      step: stepOf(reading),
      area: own.reduce((s, m) => s + m.share, 0),
      emphasis: Math.max(...own.map((m) => m.emphasis)),
      told: names.some((name) => told.has(name)),
    };
  });
}

const pairCrossed: ToneRule<'pair_crossed'> = {
  code: 'pair_crossed',
  kind: 'fix',
  reads: (reading) =>
    pairFacts(reading).map((facts) => {
      const { object, lit, shadow } = facts.pair;
      const own = reading.result.masses.filter((m) => lit.includes(m.name) || shadow.includes(m.name));
      return { subject: ofShape(object, object, shareBoxRound(own.map((m) => m.box))), facts };
    }),
  // What the picture itself has so is no mistake.
  tells: ({ pair, due, told }) => !told && pair.separation < due - CROSSED,
  weight: ({ pair, step, area, emphasis }) => (-pair.separation / step) * Math.sqrt(area) * emphasis,
  evidence: ({ pair: { separation, wanted } }) => ({
    separation: round2(separation),
    ...(wanted !== null && { wanted: round2(wanted) }),
  }),
  source: 'within one object every value of the shadow stays darker than every value of the light',
};

const overlapLighter: ToneRule<'overlap_lighter'> = {
  code: 'overlap_lighter',
  kind: 'fix',
  reads: (reading) =>
    reading.result.overlaps.map((overlap) => {
      const own = reading.result.masses.find((m) => m.name === overlap.name);
      const facts = { overlap, step: stepOf(reading), area: own?.share ?? SMALL, emphasis: own?.emphasis ?? 1 };
      return { subject: ofShape(overlap.name, overlap.name, own?.box), facts };
    }),
  tells: () => true,
  weight: ({ overlap, step, area, emphasis }) => (overlap.by / step) * Math.sqrt(area) * emphasis,
  evidence: ({ overlap }) => ({ by: round2(overlap.by) }),
  source: 'where more lights are kept off it is darker than where fewer are',
};

export const MASS_RULES = {
  pairs_hold: pairsHold,
  in_their_steps: inTheirSteps,
  outside_steps: outsideSteps,
  pair_crossed: pairCrossed,
  overlap_lighter: overlapLighter,
} as const;
