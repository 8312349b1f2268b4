/** One trial of the bench: a sheet is printed, painted, photographed and measured. Runs in a worker thread. */
import { critiqueScale } from '@/core/critique/scale-critique';
import { defaultScale } from '@/core/exercise/scale';
import type { CardReadings } from '@/core/capture/card-profile';
import type { PaperId } from '@/core/sheet/paper';
import { measureScale } from '@/core/scale/measure';
import type { CameraCondition } from '@/devices/camera-conditions';
import { type PaintCondition, planFor } from '@/devices/paint-conditions';
import type { PaintPlan } from '@/devices/painter';
import type { PrinterCondition } from '@/devices/printer';
import { chance } from '@/devices/random';
import { readColours } from '@/devices/reader';
import { decodePhoto } from '@/workers/decode';
import { loadOpenCv } from '@/workers/opencv';
import { readQr } from '@/workers/read-qr';
import { jpegOf, type PaintedSheet, paintedSheet } from './stage';

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
}

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
}

/** The instrument reads the blank print: every patch, and a bare place beside the code. */
export function instrumentReadings({ blank, layout }: PaintedSheet, seed: number): CardReadings {
  const { xMm, yMm } = layout.qrBox;
  const paper = { xMm: xMm - 12, yMm, widthMm: 10, heightMm: 10 };
  const [bare, ...patches] = readColours(blank, [paper, ...layout.patches, ...layout.chroma], seed);
  return { paper: bare ?? null, patches: new Map(patches.map((lab, i) => [i + 1, lab])) };
}

/** The plan with a colour on each step, as strong as its lightness allows. */
function coloured(plan: PaintPlan, seed: number): PaintPlan {
  const own = chance(seed).fork('colours');
  const drift = plan.lightness.map((lightness, i) => {
    const [hue, most] = [own.between(0, 2 * Math.PI), Math.min(38, 0.7 * lightness, 2.2 * (100 - lightness))];
    const chroma = own.between(0.2, 1) * most;
    return { kind: 'drift' as const, step: i + 1, a: chroma * Math.cos(hue), b: chroma * Math.sin(hue) };
  });
  return { ...plan, faults: [...plan.faults, ...drift] };
}

export default async function runTrial(trial: Trial): Promise<TrialOutcome> {
  const { steps, paper, paint, camera, printer, seed } = trial;
  const plan = typeof paint === 'string' ? planFor(paint, steps, seed) : paint;
  const sheet = await paintedSheet(steps, paper, trial.hue ? coloured(plan, seed) : plan, seed, printer, undefined, trial.hue);
  const photo = await decodePhoto(await jpegOf(sheet, camera, seed, trial.megapixels));
  const { cv } = await loadOpenCv();
  const terms = defaultScale('gouache', trial.expectedSteps ?? steps);
  const request = {
    terms,
    hue: trial.hue ?? false,
    expected: { exercise: trial.expectedExercise ?? 'ex1', student: 'st1' },
    ...(trial.card && { card: { basis: trial.card, readings: instrumentReadings(sheet, seed) } }),
  };
  const result = await measureScale(photo, request, { cv, readQr });
  const { accepted, issues } = result.capture;
  const readings = result.steps.flatMap((s, i): TrialReading[] => {
    const truth = sheet.truth.steps[i];
    return truth ? [{ step: s.index, truth: truth.lightness, read: s.lightness, uncertainty: s.uncertainty, ab: [(s.a ?? Number.NaN) - truth.a, (s.b ?? Number.NaN) - truth.b] }] : [];
  });
  const fixes = critiqueScale(result, terms, 'white-is-one').flatMap((f) => (f.kind === 'fix' ? [`${f.code}: ${f.where.steps.join(' ')}`] : []));
  return { trial, accepted, fixes, codes: issues.map((i) => i.code), values: issues.map((i) => i.value), readings: accepted ? readings : [] };
}
