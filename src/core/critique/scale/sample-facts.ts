/** Facts of every code of a scale, several where its words differ, to read all that can be said. */
import { sampleSteps } from '../../scale/sample-result';
import { VALUE_CODES, type ValueCode } from './diagnose';
import type { ScaleFacts, ValueFacts } from './facts';

const measured = sampleSteps({ targets: [96, 76, 56, 36, 20] });
const [step] = measured;
if (!step) throw new Error('A scale has a step.');

const value = (code: ValueCode, error: number, steps: readonly number[], pair: readonly [number, number] | null) =>
  ({
    ...{ cause: { code, steps, pair, error }, measured, error, gap: { gap: 3, ideal: 20 }, beyond: 0.5, area: 0.2 },
  }) satisfies ValueFacts;
const values = (code: ValueCode): ValueFacts[] => [
  value(code, 0.8, [3], [3, 4]),
  value(code, -1.4, [2, 3], [3, 4]),
  value(code, 0.4, [5], null),
];
const ofStep = [{ step, area: 0.2 }];
const ends = [{ lightest: 95, darkest: 20, good: true }];
const chip = { place: 1, step: 3, lightness: 40, a: 20, b: 10, belongs: 3.8, nearest: 4 };

export const SAMPLE_FACTS: { readonly [C in keyof ScaleFacts]: readonly ScaleFacts[C][] } = {
  works_even: [{ gaps: [9, 9], all: true }],
  works_even_part: [{ gaps: [9, 9], from: 2, to: 4 }],
  works_ends: ends,
  works_black: ends,
  works_white: ends,
  works_order: [{ kept: true, allEven: false }],
  works_flat: [{ spread: 0.5, flat: true }],
  works_on_target: [{ steps: [2] }, { steps: [2, 3, 4] }],
  ...(Object.fromEntries(VALUE_CODES.map((code) => [code, values(code)])) as Record<ValueCode, ValueFacts[]>),
  streaky: ofStep,
  bare_ground: ofStep,
  over_the_line: ofStep,
  built_up_edge: ofStep,
  line_shows: ofStep,
  drift_warm: ofStep,
  drift_cool: ofStep,
  hue_turn: ofStep,
  chip_misplaced: (['pure', 'tint', 'dark', 'grey'] as const).map((what) => ({ chip: { ...chip, what }, area: 0.2 })),
  silhouette_not_solid: [{ lightness: 30, spread: 4 }],
};
