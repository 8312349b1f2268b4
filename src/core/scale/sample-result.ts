/** Results of scales as tests need them, without a photograph: flat paint, right where nothing else is said. */
import { SAMPLE_CAPTURE } from '../capture/sample-capture';
import { type MeasuredStep, SCALE_RESULT_VERSION, type ScaleResult } from './result';

interface SampleSteps {
  /** What each step was to be, L*, in reading order. */
  readonly targets: readonly number[];
  /** What it reads as, L*; as wanted where nothing is said. */
  readonly lightness?: readonly number[];
  /** How far apart steps are, L*: what errors are told in. */
  readonly stepSize?: number;
  /** What is special about a step, by its index from 1. */
  readonly own?: Readonly<Record<number, Partial<MeasuredStep>>>;
}

/** Steps in reading order, each painted flat and covering. */
export function sampleSteps({ targets, lightness = targets, stepSize = 9, own = {} }: SampleSteps): MeasuredStep[] {
  return targets.map((target, i): MeasuredStep => {
    const read = lightness[i] ?? target;
    return {
      index: i + 1,
      lightness: read,
      a: 0,
      b: 0,
      target,
      error: read - target,
      errorSteps: (read - target) / stepSize,
      uncertainty: 3,
      ownUncertainty: 0.3,
      extrapolated: false,
      spread: 0.5,
      bareGround: 0,
      overflow: 0,
      rim: 0,
      lineShows: 0,
      flags: [],
      ...own[i + 1],
    };
  });
}

/** A whole result; `more` says what is special about it. */
export const sampleScale = (steps: readonly MeasuredStep[], more: Partial<ScaleResult> = {}): ScaleResult => ({
  version: SCALE_RESULT_VERSION,
  kind: 'scale',
  capture: SAMPLE_CAPTURE,
  steps: [...steps],
  gaps: [],
  summary: null,
  leastWork: null,
  silhouette: null,
  chips: [],
  pure: null,
  ...more,
});
