/** A painting with planted faults: painted by the simulated student, photographed, and measured against its picture. */
import { measurePainting } from '@/core/painting/measure-painting';
import { type PaintingReference, paintingReference } from '@/core/painting/reference';
import type { PaintingResult } from '@/core/painting/result';
import { valueMap, valueSpan } from '@/core/reference/value-map';
import { withAccents } from '@/devices/accents';
import { photograph } from '@/devices/camera';
import { shotFor } from '@/devices/camera-conditions';
import type { CameraCondition } from '@/devices/condition-names';
import type { Whole } from '@/devices/drawing-hand';
import { type PaintedPicture, paintPicture } from '@/devices/picture-painter';
import { chance } from '@/devices/random';
import { decodePhoto } from '@/workers/decoding/decode';
import { loadOpenCv } from '@/workers/decoding/opencv';
import { readQr } from '@/workers/decoding/read-qr';
import { type Blank, blankFor, targetOf } from '../notan-stage';
import { finely, wholeOf } from '../painting/beginning';
import { namedPlane, shapesOf } from '../painting/named-of-scene';
import { type Reference, referenceOf } from '../painting/references';
import { ENDS, type Fault, type Named, type Planned, planned, STEP, TOLERANCE_STEPS } from './faults';

/** What is painted from, by whom, and what is to go wrong. */
export interface Sitting {
  readonly seed: number;
  readonly reference: Reference;
  readonly named: Named;
  readonly planned: Planned;
  readonly whole: Whole;
  /** From L* of the picture to L* of paint. */
  readonly value: (lightness: number) => number;
  readonly against: PaintingReference;
  readonly blank: Blank;
}

export async function sittingOf(seed: number, scene: number): Promise<Sitting> {
  const own = chance(seed).fork('faulty painting');
  const reference = await referenceOf(scene);
  const { of } = valueMap(valueSpan(reference.lightness), { ends: ENDS, key: 'full', pushPercent: 0 });
  const named = shapesOf(reference);
  const plan = planned(reference, named, own.fork('faults'));
  const plain = finely(reference);
  const seen = withAccents(plain.data, plain.width, plain.height, plan.lines);
  const { cv } = await loadOpenCv();
  return {
    ...{ seed, reference, named, planned: plan, value: of },
    whole: wholeOf(own.fork('whole')),
    against: paintingReference(cv, {
      lightness: { ...plain, data: seen },
      target: { ...plain, data: seen.map(of) },
      shapes: namedPlane(reference, named),
    }),
    blank: await blankFor({ way: 'sheet', seed }, 'office', reference.height / reference.width),
  };
}

const ofKind = <K extends Fault['kind']>(faults: readonly Fault[], kind: K) =>
  faults.filter((f): f is Extract<Fault, { kind: K }> => f.kind === kind);

/** How light the hand makes what should be as light as `target`, where its range is short. */
export function inRange(faults: readonly Fault[], target: number): number {
  const along = (target - ENDS.dark) / (ENDS.light - ENDS.dark);
  return ofKind(faults, 'range').reduce((l, { darks, lights }) => l + (1 - along) * darks - along * lights, target);
}

/** The same hand paints it each time: only the faults are others. */
export function painted(sitting: Sitting, faults: readonly Fault[]): PaintedPicture {
  const { seed, reference, planned: plan, whole, value, blank } = sitting;
  const hand = chance(seed).fork('hand');
  const [busy] = ofKind(faults, 'busy');
  const lost = ofKind(faults, 'line').map((f) => f.accent);
  const mistaken = new Map<number, number>();
  for (const { shape, by } of ofKind(faults, 'value')) mistaken.set(shape, (mistaken.get(shape) ?? 0) + by);
  return paintPicture(
    blank.surface,
    blank.frame,
    reference,
    {
      whole,
      moves: ofKind(faults, 'move').map((f) => f.move),
      stray: hand.between(0.001, 0.003),
      smallest: hand.between(0.006, 0.012),
      unsure: hand.between(0.5, 1.5),
      value: (l) => inRange(faults, value(l)),
      mistaken,
      ground: hand.between(60, 93),
      streaks: hand.between(0, 1),
      accents: plan.lines.filter((l) => !lost.includes(l)),
      spreads: ofKind(faults, 'reach').map((f) => f.spread),
      ...(busy && { busy: busy.busy }),
    },
    seed,
  );
}

export interface Shot {
  readonly camera: CameraCondition;
  readonly seed: number;
  readonly megapixels: number;
}

export async function measured(sitting: Sitting, { surface }: PaintedPicture, shot: Shot): Promise<PaintingResult> {
  const { blank, against } = sitting;
  const { camera, seed, megapixels } = shot;
  const jpeg = await photograph(surface, blank.stage, shotFor(camera, blank.stage, seed, megapixels), seed);
  const { cv } = await loadOpenCv();
  const { result } = await measurePainting(
    await decodePhoto(jpeg),
    {
      reference: against,
      step: STEP,
      lightest: ENDS.light,
      ruleWins: false,
      toleranceSteps: TOLERANCE_STEPS,
      expected: { exercise: null, student: null },
      target: targetOf({ way: 'sheet', ...shot }, blank),
      card: { basis: 'measured', readings: blank.readings },
    },
    { cv, readQr },
  );
  return result;
}
