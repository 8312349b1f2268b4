/** What the environment lends to a measurement, and who listens. */
import type { SheetTools } from './open-sheet';

export const MEASURE_STAGES = ['finding the sheet', 'reading its greys', 'reading the steps', 'comparing'] as const;
export type MeasureStage = (typeof MEASURE_STAGES)[number];

export interface MeasureTools extends SheetTools {
  onStage?(stage: MeasureStage): void;
}
