/** Rules about how the paint was laid and mixed, one step at a time. The limits are those of the flags. */
import { LIMITS } from '../../scale/flags';
import type { MeasuredStep } from '../../scale/result';
import type { Finding } from '../finding';
import { ofSteps, PICTURE, type Rule } from '../rule';
import type { ChipFacts, ScaleFacts, ScaleReading, StepFacts } from './facts';

type CraftCode = Extract<MeasuredStep['flags'][number], keyof ScaleFacts>;

const round1 = (v: number) => Math.round(v * 10) / 10;
const round2 = (v: number) => Math.round(v * 100) / 100;
const round3 = (v: number) => Math.round(v * 1000) / 1000;

interface CraftRule {
  readonly weight: (step: MeasuredStep) => number;
  readonly evidence: (step: MeasuredStep) => Finding['evidence'];
  readonly source: string;
}

const stepRule = <C extends CraftCode>(
  code: C,
  { weight, evidence, source }: CraftRule,
): Rule<C, ScaleReading, StepFacts> => ({
  code,
  kind: 'fix',
  reads: ({ result: { steps } }) =>
    steps
      .filter((step) => step.flags.some((f) => f === code))
      .map((step) => ({ subject: ofSteps(step.index), facts: { step, area: 1 / steps.length } })),
  tells: () => true,
  weight: ({ step, area }) => weight(step) * Math.sqrt(area),
  evidence: ({ step }) => evidence(step),
  source,
});

const colour = ({ a, b }: MeasuredStep) => ({ a: round1(a ?? 0), b: round1(b ?? 0) });
/** A drift is seen, and spoils no value: half of a step that is off by a whole one. */
const driftRule = {
  weight: () => 0.5,
  evidence: colour,
  source: 'against the drift that the paints themselves predict',
};

/** A chip this many steps from where it belongs is told, if it is nearer to no grey between them. */
const CHIP_OFF = { whole: 1, part: 0.75 };

const chipMisplaced: Rule<'chip_misplaced', ScaleReading, ChipFacts> = {
  code: 'chip_misplaced',
  kind: 'fix',
  reads: ({ result: { chips, steps } }) =>
    chips.map((chip) => ({ subject: ofSteps(chip.step, chip.nearest), facts: { chip, area: 1 / steps.length } })),
  tells: ({ chip }) =>
    Math.abs(chip.nearest - chip.step) >= CHIP_OFF.whole && Math.abs(chip.belongs - chip.step) > CHIP_OFF.part,
  // A chip is judged by eye beside strong colour: it weighs less than a step that was mixed wrongly.
  weight: ({ chip, area }) => 0.4 * Math.abs(chip.belongs - chip.step) * Math.sqrt(area),
  evidence: ({ chip }) => ({ lightness: round1(chip.lightness), belongs: round2(chip.belongs) }),
  source: 'a trained eye places a grey to about half a step of nine',
};

const silhouetteNotSolid: Rule<'silhouette_not_solid', ScaleReading, ScaleFacts['silhouette_not_solid']> = {
  code: 'silhouette_not_solid',
  kind: 'fix',
  reads: ({ result: { silhouette } }) =>
    silhouette && !silhouette.solid ? [{ subject: PICTURE, facts: silhouette }] : [],
  tells: () => true,
  weight: () => 0.3,
  evidence: ({ lightness, spread }) => ({ lightness: round1(lightness), spread: round1(spread) }),
  source: 'seen after the bands that it stands in front of',
};

export const CRAFT_RULES = {
  streaky: stepRule('streaky', {
    weight: ({ spread }) => 0.4 * (spread / LIMITS.streaky - 1),
    evidence: ({ spread }) => ({ spread: round1(spread) }),
    source: 'twice the limit reads as one value that is off by four tenths of a step',
  }),
  bare_ground: stepRule('bare_ground', {
    weight: ({ bareGround }) => 10 * (bareGround ?? 0),
    evidence: ({ bareGround }) => ({ share: round3(bareGround ?? 0) }),
    source: 'a tenth of the cell bare is as bad as a step off by one',
  }),
  over_the_line: stepRule('over_the_line', {
    weight: ({ overflow }) => 5 * (overflow ?? 0),
    evidence: ({ overflow }) => ({ share: round3(overflow ?? 0) }),
    source: 'half as bad as the same share bare: it lies beside the value, not in it',
  }),
  built_up_edge: stepRule('built_up_edge', {
    weight: ({ rim }) => 0.3 * (Math.abs(rim ?? 0) / LIMITS.builtUpEdge - 1),
    evidence: ({ rim }) => ({ rim: round1(rim ?? 0) }),
    source: 'a rim is seen after a streak of the same difference',
  }),
  line_shows: stepRule('line_shows', {
    weight: ({ lineShows }) => 0.3 * (lineShows ?? 0),
    evidence: ({ lineShows }) => ({ share: round2(lineShows ?? 0) }),
    source: 'the least of all: a faint line round an even value',
  }),
  drift_warm: stepRule('drift_warm', driftRule),
  drift_cool: stepRule('drift_cool', driftRule),
  hue_turn: stepRule('hue_turn', driftRule),
  chip_misplaced: chipMisplaced,
  silhouette_not_solid: silhouetteNotSolid,
} as const;
