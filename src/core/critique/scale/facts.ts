/** What the rules of the scale family go by: the numbers behind each code. */
import type { ScaleTerms } from '../../scale/flags';
import type { MeasuredChip, MeasuredStep, ScaleResult } from '../../scale/result';
import { type Cause, diagnose, type ValueCode } from './diagnose';

/** A measured scale, its terms, and what is wrong with its values, each thing once. */
export interface ScaleReading {
  readonly terms: ScaleTerms;
  readonly result: ScaleResult;
  readonly causes: readonly Cause[];
}

/** One thing that is wrong with the values, in steps of the exercise. */
export interface ValueFacts {
  readonly cause: Cause;
  readonly measured: readonly MeasuredStep[];
  /** Mean error; positive is too light. */
  readonly error: number;
  /** The gap that shows it, as measured and as it would be even, L*; null for what is no gap. */
  readonly gap: { readonly gap: number; readonly ideal: number } | null;
  /** The largest error beyond the exercise's tolerance. */
  readonly beyond: number;
  /** Share of the scale's steps. */
  readonly area: number;
}

export interface StepFacts {
  readonly step: MeasuredStep;
  readonly area: number;
}

export interface ChipFacts {
  readonly chip: MeasuredChip;
  readonly area: number;
}

export interface EndFacts {
  readonly lightest: number;
  readonly darkest: number;
  readonly good: boolean;
}

export type ScaleFacts = {
  readonly works_even: { readonly gaps: readonly number[]; readonly all: boolean };
  readonly works_even_part: { readonly gaps: readonly number[]; readonly from: number; readonly to: number };
  readonly works_ends: EndFacts;
  readonly works_black: EndFacts;
  readonly works_white: EndFacts;
  readonly works_order: { readonly kept: boolean; readonly allEven: boolean };
  readonly works_flat: { readonly spread: number; readonly flat: boolean };
  readonly works_on_target: { readonly steps: readonly number[] };
} & { readonly [C in ValueCode]: ValueFacts } & {
  readonly streaky: StepFacts;
  readonly bare_ground: StepFacts;
  readonly over_the_line: StepFacts;
  readonly built_up_edge: StepFacts;
  readonly line_shows: StepFacts;
  readonly drift_warm: StepFacts;
  readonly drift_cool: StepFacts;
  readonly hue_turn: StepFacts;
  readonly chip_misplaced: ChipFacts;
  readonly silhouette_not_solid: { readonly lightness: number; readonly spread: number };
};

/** What the steps were judged by: a scale between its own painted ends has other targets with each step that moves. */
function judgedBy(terms: ScaleTerms, { steps, pure }: ScaleResult): ScaleTerms {
  if (terms.anchor === 'own') return { ...terms, ...(pure && { pure }) };
  return { ...terms, targets: steps.map((s) => s.target) };
}

/** A measured scale with what is wrong with its values, each thing once. */
export function scaleReading(result: ScaleResult, terms: ScaleTerms): ScaleReading {
  const causes = diagnose(
    judgedBy(terms, result),
    result.steps.map((s) => s.lightness),
    result.steps.map((s) => s.ownUncertainty),
  );
  return { terms, result, causes };
}
