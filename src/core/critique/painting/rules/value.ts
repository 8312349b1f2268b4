/** Rules about values: what is wrong with the whole is told once, then what single parts are off by beside it. */
import { ofShape, PICTURE, type Rule } from '../../rule';
import { partsTold, shareOfShape } from './one-thing-once';
import { gradientsOff } from './modelling';
import type { OffPart, PaintingFacts, PaintingReading, RangeFacts, WholeFacts } from '../facts';

/** Parts told of at the most. */
const MOST_PARTS = 7;
/** A range of less than this share of the reference's is short, of more than that stretched. */
const SHORT = 0.85;
const STRETCHED = 1.2;
/** A whole that is off by a step weighs as much as a part of this share of the picture that is. */
const WHOLE_AREA = 0.36;
/** Half of the range gone weighs as much as a step everywhere. */
const WHOLE_RANGE = 2;

const round2 = (v: number) => Math.round(v * 100) / 100;

type PaintingRule<C extends keyof PaintingFacts> = Rule<C, PaintingReading, PaintingFacts[C]>;

/** Ends are known where white is: between marked corners they are only put where the exercise has them. */
const knowsEnds = ({ result }: PaintingReading) => result.capture.mode === 'calibrated';

const valuesHold: PaintingRule<'values_hold'> = {
  code: 'values_hold',
  kind: 'works',
  reads: ({ result: { regions, overall } }) =>
    overall ? [{ subject: PICTURE, facts: { parts: regions.length } }] : [],
  tells: ({ parts }) => parts === 0,
  weight: () => 0,
  evidence: () => ({ parts: 0 }),
  source: 'no part is further from the curve of the whole than the exercise allows',
};

const rangeHolds: PaintingRule<'range_holds'> = {
  code: 'range_holds',
  kind: 'works',
  reads: (reading) =>
    reading.result.overall && knowsEnds(reading)
      ? [{ subject: PICTURE, facts: { contrast: reading.result.overall.contrast } }]
      : [],
  tells: ({ contrast }) => contrast >= 0.93 && contrast <= 1.1,
  weight: () => 0,
  evidence: ({ contrast }) => ({ contrast: round2(contrast) }),
  source: 'half of what is told as short or stretched',
};

function rangesOf(reading: PaintingReading): { subject: typeof PICTURE; facts: RangeFacts }[] {
  const { overall } = reading.result;
  const [dark, light] = [overall?.curve[0], overall?.curve.at(-1)];
  if (!overall || !dark || !light || !knowsEnds(reading)) return [];
  const short = {
    dark: (dark.painted - dark.target) / reading.step,
    light: (light.target - light.painted) / reading.step,
  };
  return [{ subject: PICTURE, facts: { contrast: overall.contrast, short } }];
}

/** Whether the range is told as short. */
export const rangeIsShort = (reading: PaintingReading): boolean =>
  rangesOf(reading).some(({ facts }) => facts.contrast < SHORT);

const rangeEvidence = ({ contrast, short }: RangeFacts) => ({
  contrast: round2(contrast),
  stepsDark: round2(short.dark),
  stepsLight: round2(short.light),
});

const rangeShort: PaintingRule<'range_short'> = {
  code: 'range_short',
  kind: 'fix',
  reads: rangesOf,
  tells: ({ contrast }) => contrast < SHORT,
  weight: ({ contrast }) => WHOLE_RANGE * (1 - contrast),
  evidence: rangeEvidence,
  source: 'a step of nine is an eighth of the range: less than a step at both ends together is not told',
};

const rangeStretched: PaintingRule<'range_stretched'> = {
  code: 'range_stretched',
  kind: 'fix',
  reads: rangesOf,
  tells: ({ contrast }) => contrast > STRETCHED,
  weight: ({ contrast }) => WHOLE_RANGE * (contrast - 1),
  evidence: rangeEvidence,
  source: 'as for a short range, and forgiving: paint that reaches further than the picture is seldom a fault',
};

function wholesOf(reading: PaintingReading): { subject: typeof PICTURE; facts: WholeFacts }[] {
  const [range] = rangesOf(reading);
  if (!range) return [];
  // All of it is only as much lighter as both of its ends are.
  const [dark, light] = [range.facts.short.dark, -range.facts.short.light];
  const steps = dark * light <= 0 ? 0 : Math.sign(dark) * Math.min(Math.abs(dark), Math.abs(light));
  return [{ subject: PICTURE, facts: { steps, tolerance: reading.tolerance } }];
}

const wholeWeight = ({ steps, tolerance }: WholeFacts) => (Math.abs(steps) - tolerance) * Math.sqrt(WHOLE_AREA);
const wholeEvidence = ({ steps }: WholeFacts) => ({ steps: round2(steps) });

const allLighter: PaintingRule<'all_lighter'> = {
  code: 'all_lighter',
  kind: 'fix',
  reads: wholesOf,
  tells: ({ steps, tolerance }) => steps > tolerance,
  weight: wholeWeight,
  evidence: wholeEvidence,
  source: 'both ends of the curve of the whole, beyond what the exercise allows',
};

const allDarker: PaintingRule<'all_darker'> = {
  code: 'all_darker',
  kind: 'fix',
  reads: wholesOf,
  tells: ({ steps, tolerance }) => -steps > tolerance,
  weight: wholeWeight,
  evidence: wholeEvidence,
  source: 'both ends of the curve of the whole, beyond what the exercise allows',
};

/** Parts of one named shape that are off the same way are told as one, by the largest of them. */
function byShape(regions: readonly OffPart[]): OffPart[] {
  const groups = new Map<string, OffPart[]>();
  for (const region of regions) {
    const key = region.shape === null ? region.id : `${Math.sign(region.residual)} ${region.shape}`;
    groups.set(key, [...(groups.get(key) ?? []), region]);
  }
  return [...groups.values()]
    .map((own): OffPart => {
      const largest = own.reduce((a, b) => (b.area > a.area ? b : a));
      const area = own.reduce((s, r) => s + r.area, 0);
      const mean = (of: 'residual' | 'deltaLightness') => own.reduce((s, r) => s + r.area * r[of], 0) / area;
      return { ...largest, area, residual: mean('residual'), deltaLightness: mean('deltaLightness') };
    })
    .sort((a, b) => b.area - a.area);
}

const partOff: PaintingRule<'part_off'> = {
  code: 'part_off',
  kind: 'fix',
  reads: (reading) => {
    const { result, step, tolerance } = reading;
    // Sides of a shape that are off against each other are told as how it goes over from one to the other.
    const told = new Set<string | null>(gradientsOff(reading).map((g) => g.shape.name));
    return byShape(partsTold(reading).filter((r) => !told.has(r.shape))).map((part) => ({
      subject: ofShape(part.id, part.shape ?? undefined, part.box),
      facts: { part, share: shareOfShape(part, result), steps: part.residual / step, tolerance },
    }));
  },
  tells: ({ steps, tolerance }) => Math.abs(steps) > tolerance,
  most: MOST_PARTS,
  weight: ({ part, steps, tolerance }) => (Math.abs(steps) - tolerance) * Math.sqrt(part.area),
  evidence: ({ part, steps }) => ({
    steps: round2(steps),
    lightness: round2(part.deltaLightness),
    area: round2(part.area),
  }),
  source: 'what is left beside the curve of the whole, beyond what the exercise allows',
};

export const VALUE_RULES = {
  values_hold: valuesHold,
  range_holds: rangeHolds,
  range_short: rangeShort,
  range_stretched: rangeStretched,
  all_lighter: allLighter,
  all_darker: allDarker,
  part_off: partOff,
} as const;
