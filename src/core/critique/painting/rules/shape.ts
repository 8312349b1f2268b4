/** Rules about how far shapes reach and about the thin lines between them: a shape of the right value may have the wrong size. */
import { ofShape, type Rule } from '../../rule';
import { extentsTold, linesTold } from './one-thing-once';
import type { ExtentOff, LineOff, PaintingFacts, PaintingReading } from '../facts';

/** Told of at the most, of each. */
const MOST_EXTENTS = 5;
const MOST_LINES = 5;
/** A shape that is wider by a tenth of itself weighs as much as a fifth of a step all over it. */
const WIDTH_WEIGHT = 2;
/** A line that is missing weighs as much as half a step over a part of this share of the picture; a weak one half of that. */
const LINE_AREA = 0.02;
const LINE_WEIGHT: Record<LineOff['kind'], number> = { missing: 0.5, extra: 0.5, weak: 0.25, thin: 0.25, wide: 0.25 };

const round2 = (v: number) => Math.round(v * 100) / 100;
const areaOf = ({ box }: ExtentOff) => box.width * box.height;

type PaintingRule<C extends keyof PaintingFacts> = Rule<C, PaintingReading, PaintingFacts[C]>;

/** How much livelier or wider it is, in steps all over it. */
const stepsOf = ({ kind, by }: ExtentOff, step: number): number =>
  kind === 'detail' ? by / step : WIDTH_WEIGHT * Math.abs(by);

const extentOff: PaintingRule<'extent_off'> = {
  code: 'extent_off',
  kind: 'fix',
  reads: (reading) =>
    extentsTold(reading)
      .map((extent) => ({ extent, steps: stepsOf(extent, reading.step) }))
      .map((facts) => ({
        subject: ofShape(facts.extent.id, facts.extent.name ?? undefined, facts.extent.box),
        facts,
      })),
  tells: () => true,
  most: MOST_EXTENTS,
  weight: ({ extent, steps }) => steps * Math.sqrt(areaOf(extent)),
  evidence: ({ extent, steps }) => ({ by: round2(extent.by), steps: round2(steps) }),
  source: 'what was measured is told only from a twentieth of a width, or well beyond what the brush leaves elsewhere',
};

const lineOff: PaintingRule<'line_off'> = {
  code: 'line_off',
  kind: 'fix',
  reads: (reading) =>
    linesTold(reading).map((line) => ({ subject: ofShape(line.id, undefined, line.box), facts: { line } })),
  tells: () => true,
  most: MOST_LINES,
  weight: ({ line }) => LINE_WEIGHT[line.kind] * Math.sqrt(LINE_AREA),
  evidence: ({ line }) => ({ amount: round2(line.amount) }),
  source: 'thin as they are, lines carry a drawing: they weigh more than the paint in them',
};

export const SHAPE_RULES = { extent_off: extentOff, line_off: lineOff } as const;
