/** Rules about the values of a scale: one a kind of cause that the diagnosis finds. */
import { stepSize } from '../../scale/flags';
import { ofSteps, type Rule, type Seen } from '../rule';
import { type Cause, VALUE_CODES, type ValueCode } from './diagnose';
import type { ScaleReading, ValueFacts } from './facts';

/** What is told at all is told: a cause that was found never weighs nothing. */
const LEAST_BEYOND = 0.1;

const round1 = (v: number) => Math.round(v * 10) / 10;

function factsOf({ terms, result: { steps, gaps } }: ScaleReading, cause: Cause): ValueFacts {
  const size = stepSize(steps.map((s) => s.target));
  const gap = gaps.find((g) => cause.pair !== null && g.between[0] === cause.pair[0]) ?? null;
  const measured = cause.steps.flatMap((s) => steps[s - 1] ?? []);
  const errors = measured.map((s) => Math.abs(s.error) / size);
  const worst = Math.max(...errors, gap ? Math.abs(gap.gap - gap.ideal) / size : 0);
  return {
    cause,
    measured,
    error: cause.error / size,
    gap,
    beyond: Math.max(LEAST_BEYOND, worst - terms.toleranceSteps),
    area: cause.steps.length / steps.length,
  };
}

const seen = (reading: ScaleReading, cause: Cause): Seen<ValueFacts> => ({
  subject: ofSteps(...cause.steps, ...(cause.pair ?? [])),
  facts: factsOf(reading, cause),
});

const valueRule = <C extends ValueCode>(code: C): Rule<C, ScaleReading, ValueFacts> => ({
  code,
  kind: 'fix',
  reads: (reading) => reading.causes.filter((c) => c.code === code).map((c) => seen(reading, c)),
  tells: () => true,
  weight: ({ beyond, area }) => beyond * Math.sqrt(area),
  evidence: ({ cause, gap, measured }) => ({
    error: round1(cause.error),
    ...(gap && { gap: round1(gap.gap), ideal: round1(gap.ideal) }),
    lightness: measured.map((s) => round1(s.lightness)),
    target: measured.map((s) => round1(s.target)),
  }),
  source: 'the diagnosis tells each cause once, beyond the tolerance of the exercise',
});

export const VALUE_RULES = Object.fromEntries(VALUE_CODES.map((code) => [code, valueRule(code)])) as {
  readonly [C in ValueCode]: Rule<C, ScaleReading, ValueFacts>;
};
