/** What the measurement makes of the places that a student marked, and which others it would have marked. */
import type { ScaleResult } from '../scale/result';
import { LOOK_VERSION, type LookCell, type LookMark, type StoredLook } from './stored-look';

/** A step that reads this much (L*) lighter than it should, in the lightness of paper, is not painted yet. */
const CLEARLY_LIGHTER = 10;
const MOSTLY_BARE = 0.5;
/** Sure of less than a quarter of the tolerance is as good as sure. */
const EDGE = 0.25;

export interface LookTerms {
  readonly toleranceSteps: number;
}

/**
 * What is kept of a measurement for a look: `cells` in fractions of the straightened picture, `aspect` its width over its
 * height. Throws RangeError where fewer than two steps were read: such a picture makes no look.
 */
export function lookOf(result: ScaleResult, terms: LookTerms, cells: readonly LookCell[], aspect: number): StoredLook {
  const { steps } = result;
  const [first, last] = [steps[0], steps.at(-1)];
  if (!first || !last || steps.length < 2) throw new RangeError('A look needs at least two steps that were read.');
  const stepSize = Math.abs(first.target - last.target) / (steps.length - 1);
  return {
    version: LOOK_VERSION,
    aspect,
    relative: result.capture.mode === 'relative',
    tolerance: terms.toleranceSteps * stepSize,
    stepSize,
    cells: [...cells],
    steps: steps.map((s) => ({
      step: s.index,
      lightness: s.lightness,
      target: s.target,
      uncertainty: s.uncertainty,
      // Paint and paper that can't be told apart are paper, unless the step is meant to be nearly as light.
      painted:
        s.bareGround === null
          ? s.lightness - s.target < CLEARLY_LIGHTER || s.lightness < 85
          : s.bareGround < MOSTLY_BARE,
    })),
  };
}

/** Even-odd rule over all rings of a cell. */
function holds(cell: LookCell, { x, y }: LookMark): boolean {
  let inside = false;
  for (const ring of cell.rings)
    for (let i = 0, j = ring.length - 1; i < ring.length; j = i++) {
      const [ax, ay] = ring[i] as [number, number];
      const [bx, by] = ring[j] as [number, number];
      if (ay > y !== by > y && x < ax + ((y - ay) / (by - ay)) * (bx - ax)) inside = !inside;
    }
  return inside;
}

/** The step at a place; null between the steps. */
export function stepAt(look: Pick<StoredLook, 'cells'>, mark: LookMark): number | null {
  return look.cells.find((c) => holds(c, mark))?.step ?? null;
}

/** 'edge': so near to the tolerance that the photograph can't tell. */
export type LookWord = 'off' | 'right' | 'edge' | 'unpainted';

export interface JudgedStep {
  readonly step: number;
  readonly word: LookWord;
  /** L* it is too light by; negative: too dark. */
  readonly error: number;
}

function judge(look: StoredLook, s: StoredLook['steps'][number]): JudgedStep {
  const error = s.lightness - s.target;
  const beyond = Math.abs(error) - look.tolerance;
  const sure = Math.max(EDGE * look.tolerance, Math.min(s.uncertainty, look.tolerance / 2));
  return {
    step: s.step,
    error,
    word: !s.painted ? 'unpainted' : Math.abs(beyond) < sure ? 'edge' : beyond > 0 ? 'off' : 'right',
  };
}

export interface JudgedLook {
  /** One for each mark, in their order; null where it lies on no step. */
  readonly marks: readonly (JudgedStep | null)[];
  /** Steps that are off and that nobody marked. */
  readonly missed: readonly JudgedStep[];
}

/** Judges up to three marks, each by the step that it lies on; lightness in L*. Two marks on one step are judged alike. */
export function judgeLook(look: StoredLook, marks: readonly LookMark[]): JudgedLook {
  const judged = new Map(look.steps.map((s) => [s.step, judge(look, s)]));
  const at = marks.map((m) => stepAt(look, m));
  return {
    marks: at.map((step) => (step === null ? null : (judged.get(step) ?? null))),
    missed: [...judged.values()].filter((j) => j.word === 'off' && !at.includes(j.step)),
  };
}
