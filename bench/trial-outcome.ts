/** What a trial of the bench is asked, and what came of it. */
import type { Motif } from '@/core/exercise/terms';
import type { PaperId } from '@/core/sheet/paper';
import type { CameraCondition } from '@/devices/condition-names';
import type { PaintCondition } from '@/devices/paint-conditions';
import type { PaintPlan } from '@/devices/painter';
import type { PrinterCondition } from '@/devices/printer';

export interface Trial {
  readonly steps: number;
  readonly paper: PaperId;
  /** A usual condition, or just what the painter does. */
  readonly paint: PaintCondition | PaintPlan;
  readonly camera: CameraCondition;
  readonly printer: PrinterCondition;
  readonly seed: number;
  /** Of the camera; a phone's 12 unless said. */
  readonly megapixels?: number;
  /** What the reader expects, where that is not the sheet that was printed. */
  readonly expectedSteps?: number;
  readonly expectedExercise?: string;
  /** Whether the print was read by the instrument before; a nominal card unless said. */
  readonly card?: 'measured';
  /** Coloured steps on a sheet with coloured patches. */
  readonly hue?: boolean;
  /** How the painting is framed; on its sheet unless said. */
  readonly way?: Way;
  /** Bands drawn by hand instead of a scale: the picture they make. */
  readonly drawn?: Motif;
  /** Compare the straightened picture with the painted truth, place by place. */
  readonly pixels?: boolean;
}

export const WAYS = ['sheet', 'brackets', 'corners', 'corners-bare'] as const;
export type Way = (typeof WAYS)[number];

export interface TrialReading {
  readonly step: number;
  readonly truth: number;
  readonly read: number;
  readonly uncertainty: number;
  /** Read less true, a* and b*. */
  readonly ab: readonly [number, number];
}

export interface TrialOutcome {
  readonly trial: Trial;
  readonly accepted: boolean;
  readonly codes: readonly string[];
  readonly values: readonly number[];
  readonly readings: readonly TrialReading[];
  /** What the draft says is to be mended, as "code: steps". */
  readonly fixes: readonly string[];
  /** 95 % of the differences of the straightened picture from the truth, L*; null unless asked for. */
  readonly pixels: number | null;
}
