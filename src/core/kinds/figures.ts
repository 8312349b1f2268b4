/** What counts of a measurement, as plain figures: what classes and terms are looked at by. */
import { type Finding, type ToldFinding, withoutWords } from '../critique/finding';
import type { NotanResult } from '../notan/result';
import type { PaintingResult } from '../painting/result';
import type { MeasuredChip, ScaleResult } from '../scale/result';
import type { MeasuredKind, MeasuredResult } from './measured-result';

/** Raised when a figure changes its meaning or one is added: those of before are made anew. */
export const FIGURES_VERSION = 1;

/** Null is what a family has no such figure of, or what was not read. */
export interface Figures {
  /** Mean distance from what was wanted, the largest one, and the mean with its sign (above 0 too light), steps. */
  readonly error: number | null;
  readonly worst: number | null;
  readonly bias: number | null;
  /** How uneven the gaps between steps are, 0 where they are alike. */
  readonly evenness: number | null;
  /** L*. */
  readonly darkest: number | null;
  readonly lightest: number | null;
  /** 0 to 1. */
  readonly agreement: number | null;
  /** Mean distance of what stands elsewhere, shares of the picture's width. */
  readonly drawing: number | null;
  /** How many thin lines and reaches are not as they were wanted. */
  readonly edges: number | null;
}

/** A step of a scale as it was read; `error` in steps, above 0 too light. */
export interface StepFigure {
  readonly step: number;
  readonly lightness: number;
  readonly target: number;
  readonly error: number;
  readonly a: number | null;
  readonly b: number | null;
  readonly flags: readonly string[];
  readonly gapFlags: readonly string[];
}

/** A chip of colour beside a scale: `error` is by how many steps it was laid too light, below 0 too dark. */
export interface ChipFigure {
  readonly place: number;
  readonly what: MeasuredChip['what'];
  readonly error: number;
}

export interface FiguresOfAttempt extends Figures {
  readonly chips: readonly ChipFigure[];
  readonly kind: MeasuredKind;
  readonly need: number;
  readonly steps: readonly StepFigure[];
  /** In the order in which it is told. */
  readonly findings: readonly ToldFinding[];
}

const NOTHING: Figures = {
  ...{ error: null, worst: null, bias: null, evenness: null, darkest: null, lightest: null },
  ...{ agreement: null, drawing: null, edges: null },
};

/** Errors with what each weighs, such as its area. */
interface Weighed {
  readonly error: number;
  readonly weight: number;
}

/** Means of errors by weight; nulls of none. */
function meansOf(all: readonly Weighed[]): Pick<Figures, 'error' | 'worst' | 'bias'> {
  const whole = all.reduce((sum, { weight }) => sum + weight, 0);
  if (whole <= 0) return { error: null, worst: null, bias: null };
  const mean = (of: (error: number) => number) =>
    all.reduce((sum, { error, weight }) => sum + weight * of(error), 0) / whole;
  return {
    error: mean(Math.abs),
    worst: Math.max(...all.map(({ error }) => Math.abs(error))),
    bias: mean((error) => error),
  };
}

function ofScale({ steps, summary }: ScaleResult): Figures {
  if (steps.length === 0) return NOTHING;
  return {
    ...NOTHING,
    ...meansOf(steps.map(({ errorSteps }) => ({ error: errorSteps, weight: 1 }))),
    evenness: summary?.evenness ?? null,
    darkest: summary?.ends.darkest ?? null,
    lightest: summary?.ends.lightest ?? null,
  };
}

function ofTones({ tones, targets, agreementAligned, agreement, shift }: NotanResult): Figures {
  const [lightest, darkest] = [targets?.[0] ?? 0, targets?.at(-1) ?? 0];
  const step = Math.abs(lightest - darkest) / Math.max(1, tones.length - 1);
  const off = tones.flatMap(({ index, lightness }) => {
    const target = targets?.[index - 1];
    return lightness === null || target === undefined || step === 0
      ? []
      : [{ error: (lightness - target) / step, weight: 1 }];
  });
  return {
    ...NOTHING,
    ...meansOf(off),
    darkest: tones.at(-1)?.lightness ?? null,
    lightest: tones[0]?.lightness ?? null,
    agreement: agreementAligned ?? agreement,
    drawing: shift ? Math.hypot(shift.x, shift.y) : null,
  };
}

function ofPainting(result: PaintingResult): Figures {
  const { shapes, step, range, registration, displacements, accents, extents } = result;
  const off = shapes.flatMap(({ deltaLightness, area }) =>
    deltaLightness === null ? [] : [{ error: deltaLightness / step, weight: area }],
  );
  const apart = displacements.map(({ dx, dy }) => Math.hypot(dx, dy));
  return {
    ...NOTHING,
    ...meansOf(off),
    darkest: range?.student.p5 ?? null,
    lightest: range?.student.p95 ?? null,
    drawing: registration ? apart.reduce((sum, d) => sum + d, 0) / Math.max(1, apart.length) : null,
    edges: registration ? accents.length + extents.length : null,
  };
}

function figuresIn(result: MeasuredResult): Figures {
  if (!result.capture.accepted) return NOTHING;
  switch (result.kind) {
    case 'scale':
      return ofScale(result);
    case 'notan':
      return ofTones(result);
    case 'painting':
      return ofPainting(result);
  }
}

/** Steps of a scale as they were read. */
export const stepsIn = ({ steps, gaps }: ScaleResult): StepFigure[] =>
  steps.map(({ index, lightness, target, errorSteps, a, b, flags }, i) => ({
    ...{ step: index, lightness, target, error: errorSteps, a, b, flags },
    gapFlags: gaps[i]?.flags ?? [],
  }));

/** Which way steps run decides what too light is. */
function chipsIn({ chips, steps }: ScaleResult): ChipFigure[] {
  const fromLight = (steps[0]?.lightness ?? 0) >= (steps.at(-1)?.lightness ?? 0);
  return chips.map(({ place, what, step, belongs }) => ({
    ...{ place, what },
    error: fromLight ? belongs - step : step - belongs,
  }));
}

/**
 * Figures of a measurement.
 *
 * @param result - what was measured.
 * @param draft - what is told of it, the first thing first.
 */
export function figuresOf(result: MeasuredResult, draft: readonly Finding[]): FiguresOfAttempt {
  const findings = draft.map(withoutWords);
  return {
    ...figuresIn(result),
    kind: result.kind,
    need: findings.reduce((sum, { kind, weight }) => sum + (kind === 'fix' ? weight : 0), 0),
    steps: result.kind === 'scale' ? stepsIn(result) : [],
    chips: result.kind === 'scale' ? chipsIn(result) : [],
    findings,
  };
}
