/** What works in a scale: measured strengths, said first. */
import { stepSize } from '../../scale/flags';
import { CRAFT_FLAGS, type MeasuredGap } from '../../scale/result';
import { ofSteps, PICTURE, type Rule, type Seen } from '../rule';
import type { ValueCode } from './diagnose';
import type { EndFacts, ScaleFacts, ScaleReading } from './facts';

/** An error below this many steps is right on the value. */
const ON_TARGET = 0.3;
/** As many even gaps in a row are worth saying. */
const LEAST_RUN = 3;

const round1 = (v: number) => Math.round(v * 10) / 10;

type StrengthCode = Extract<keyof ScaleFacts, `works_${string}`>;
interface Strength<C extends StrengthCode> {
  readonly code: C;
  readonly source: string;
  readonly reads: (reading: ScaleReading) => readonly Seen<ScaleFacts[C]>[];
  readonly tells: (facts: ScaleFacts[C]) => boolean;
  readonly evidence: Rule<C, ScaleReading, ScaleFacts[C]>['evidence'];
}
const strength = <C extends StrengthCode>(rule: Strength<C>): Rule<C, ScaleReading, ScaleFacts[C]> => ({
  ...rule,
  kind: 'works',
  weight: () => 0,
});

const allEven = ({ result: { gaps } }: ScaleReading) => gaps.every((g) => g.flags.length === 0);

/** The longest run of neighbouring gaps with no flag, as steps; null where none is long enough. */
function evenRun(gaps: readonly MeasuredGap[]): [number, number] | null {
  let best: [number, number] | null = null;
  let from = 0;
  gaps.forEach((g, i) => {
    if (g.flags.length > 0) from = i + 1;
    else if (i - from >= LEAST_RUN - 1 && (!best || i - from > best[1] - best[0] - 1)) best = [from + 1, i + 2];
  });
  return best;
}

const gapsOf = (gaps: readonly MeasuredGap[]) => gaps.map((g) => round1(g.gap));

/** Both ends as they were read. Relative readings take the ends for granted, and own ends are what they are: nothing is said of either. */
function ends(
  reading: ScaleReading,
  good: (has: (code: ValueCode) => boolean) => boolean,
  at: 'both' | 'white' | 'black',
) {
  const { terms, result, causes } = reading;
  if (terms.anchor === 'own' || result.capture.mode === 'relative') return [];
  const lightFirst = terms.order === 'light-first';
  const [first, last] = [result.steps[0], result.steps.at(-1)];
  const [white, black] = lightFirst ? [first, last] : [last, first];
  if (!white || !black) return [];
  const steps = { both: [white.index, black.index], white: [white.index], black: [black.index] }[at];
  const facts = {
    lightest: white.lightness,
    darkest: black.lightness,
    good: good((code) => causes.some((c) => c.code === code)),
  };
  return [{ subject: ofSteps(...steps), facts }];
}
const isGood = ({ good }: EndFacts) => good;
const byDiagnosis = 'no cause that the diagnosis found lies there';

const flatSteps = ({ result: { steps } }: ScaleReading) =>
  !steps.some((s) => s.flags.some((f) => CRAFT_FLAGS.some((c) => c === f)));
const orderKept = ({ result: { gaps } }: ScaleReading) => !gaps.some((g) => g.flags.includes('reversed'));

/** Where nothing else can be praised. */
function onTarget(reading: ScaleReading): Seen<ScaleFacts['works_on_target']>[] {
  const { steps, gaps } = reading.result;
  const size = stepSize(steps.map((s) => s.target));
  const near = steps.filter((s) => Math.abs(s.error) < ON_TARGET * size).map((s) => s.index);
  const endsGood = ends(reading, (has) => !has('weak_black') || !has('weak_white'), 'both').some((s) => s.facts.good);
  const other = allEven(reading) || evenRun(gaps) !== null || endsGood || orderKept(reading) || flatSteps(reading);
  return other || near.length === 0 ? [] : [{ subject: ofSteps(...near), facts: { steps: near } }];
}

export const STRENGTH_RULES = {
  works_even: strength({
    code: 'works_even',
    reads: (reading) => [{ subject: PICTURE, facts: { gaps: gapsOf(reading.result.gaps), all: allEven(reading) } }],
    tells: ({ all }) => all,
    evidence: ({ gaps }) => ({ gaps: [...gaps] }),
    source: 'no gap has a flag',
  }),
  works_even_part: strength({
    code: 'works_even_part',
    reads: (reading) => {
      const run = allEven(reading) ? null : evenRun(reading.result.gaps);
      if (!run) return [];
      const [from, to] = run;
      const gaps = gapsOf(reading.result.gaps.slice(from - 1, to - 1));
      return [{ subject: ofSteps(from, to), facts: { gaps, from, to } }];
    },
    tells: () => true,
    evidence: ({ gaps }) => ({ gaps: [...gaps] }),
    source: 'three gaps in a row without a flag',
  }),
  works_ends: strength({
    code: 'works_ends',
    reads: (reading) => ends(reading, (has) => !has('weak_black') && !has('weak_white'), 'both'),
    tells: isGood,
    evidence: ({ lightest, darkest }) => ({ lightest: round1(lightest), darkest: round1(darkest) }),
    source: byDiagnosis,
  }),
  works_black: strength({
    code: 'works_black',
    reads: (reading) => ends(reading, (has) => !has('weak_black') && has('weak_white'), 'black'),
    tells: isGood,
    evidence: ({ darkest }) => ({ darkest: round1(darkest) }),
    source: byDiagnosis,
  }),
  works_white: strength({
    code: 'works_white',
    reads: (reading) => ends(reading, (has) => has('weak_black') && !has('weak_white'), 'white'),
    tells: isGood,
    evidence: ({ lightest }) => ({ lightest: round1(lightest) }),
    source: byDiagnosis,
  }),
  works_order: strength({
    code: 'works_order',
    reads: (reading) => [{ subject: PICTURE, facts: { kept: orderKept(reading), allEven: allEven(reading) } }],
    tells: ({ kept, allEven }) => kept && !allEven,
    evidence: () => ({}),
    source: 'no pair is reversed; where all is even that is said instead',
  }),
  works_flat: strength({
    code: 'works_flat',
    reads: (reading) => {
      const spread = Math.max(...reading.result.steps.map((s) => s.spread));
      return [{ subject: PICTURE, facts: { spread, flat: flatSteps(reading) } }];
    },
    tells: ({ flat }) => flat,
    evidence: ({ spread }) => ({ spread: round1(spread) }),
    source: 'no step has a flag about its paint',
  }),
  works_on_target: strength({
    code: 'works_on_target',
    reads: onTarget,
    tells: () => true,
    evidence: () => ({}),
    source: 'said only where nothing else works',
  }),
} as const;
