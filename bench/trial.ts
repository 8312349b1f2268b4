/** One trial of the bench: a sheet is printed, painted, photographed and measured. Runs in a worker thread. */
import { critiqueScale } from '@/core/critique/scale-critique';
import { defaultScale } from '@/core/exercise/scale';
import type { PaperId } from '@/core/sheet/paper';
import { measureScale } from '@/core/scale/measure';
import type { CameraCondition } from '@/devices/camera-conditions';
import { type PaintCondition, planFor } from '@/devices/paint-conditions';
import type { PaintPlan } from '@/devices/painter';
import type { PrinterCondition } from '@/devices/printer';
import { decodePhoto } from '@/workers/decode';
import { loadOpenCv } from '@/workers/opencv';
import { readQr } from '@/workers/read-qr';
import { jpegOf, paintedSheet } from './stage';

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
}

export interface TrialReading {
  readonly step: number;
  readonly truth: number;
  readonly read: number;
  readonly uncertainty: number;
}

export interface TrialOutcome {
  readonly trial: Trial;
  readonly accepted: boolean;
  readonly codes: readonly string[];
  readonly readings: readonly TrialReading[];
  /** What the draft says is to be mended, as "code: steps". */
  readonly fixes: readonly string[];
}

export default async function runTrial(trial: Trial): Promise<TrialOutcome> {
  const { steps, paper, paint, camera, printer, seed } = trial;
  const sheet = await paintedSheet(steps, paper, typeof paint === 'string' ? planFor(paint, steps, seed) : paint, seed, printer);
  const photo = await decodePhoto(await jpegOf(sheet, camera, seed, trial.megapixels));
  const { cv } = await loadOpenCv();
  const terms = defaultScale('gouache', trial.expectedSteps ?? steps);
  const request = { terms, expected: { exercise: trial.expectedExercise ?? 'ex1', student: 'st1' } };
  const result = await measureScale(photo, request, { cv, readQr });
  const { accepted, issues } = result.capture;
  const readings = result.steps.flatMap((s, i): TrialReading[] => {
    const truth = sheet.truth.steps[i];
    return truth ? [{ step: s.index, truth: truth.lightness, read: s.lightness, uncertainty: s.uncertainty }] : [];
  });
  const fixes = critiqueScale(result, terms, 'white-is-one').flatMap((f) => (f.kind === 'fix' ? [`${f.code}: ${f.where.steps.join(' ')}`] : []));
  return { trial, accepted, fixes, codes: issues.map((i) => i.code), readings: accepted ? readings : [] };
}
