import type { ScaleResult } from '@/core/scale/result';
import type { StripCell } from './Strip';

/** What a strip draws of a measurement. */
export function stripCells(result: Pick<ScaleResult, 'steps' | 'gaps'>, labels: readonly string[]): StripCell[] {
  return result.steps.map((s, i) => ({
    label: labels[i] ?? String(s.index),
    lightness: s.lightness,
    target: s.target,
    errorSteps: s.errorSteps,
    flags: s.flags,
    gapFlags: result.gaps[i]?.flags ?? [],
  }));
}
