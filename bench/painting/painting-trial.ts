/** A painting from a rendered picture: made up, painted with planted faults, photographed and measured against the picture. */
import type { KnownCard } from '@/core/capture/open-sheet';
import type { Finding } from '@/core/critique/finding';
import { critiquePainting } from '@/core/critique/painting/critique';
import { measurePainting } from '@/core/painting/measure-painting';
import { paintingReference } from '@/core/painting/reference';
import type { PaintingResult } from '@/core/painting/result';
import { valueMap, valueSpan } from '@/core/reference/value-map';
import { withAccents } from '@/devices/accents';
import type { CameraCondition } from '@/devices/condition-names';
import { AS_IT_IS, type Move, type Whole } from '@/devices/drawing-hand';
import { paintPicture } from '@/devices/picture-painter';
import { photograph } from '@/devices/camera';
import { shotFor } from '@/devices/camera-conditions';
import { chance } from '@/devices/random';
import { decodePhoto } from '@/workers/decoding/decode';
import { loadOpenCv } from '@/workers/decoding/opencv';
import { readQr } from '@/workers/decoding/read-qr';
import { blankFor, targetOf } from '../notan-stage';
import { finely, moveOf, wholeOf } from './beginning';
import { plannedModelling } from './modelling-faults';
import { type MovedPart, movedParts } from './moved-parts';
import { nameOf, namedPlane, shapesOf, smallestOf } from './named-of-scene';
import { keptOf } from './own-lines';
import { referenceOf } from './references';
import { seenFor, type Wrong } from './seen-instead';
import {
  ofTheSmaller,
  type PaintedEdge,
  type PlantedAccent,
  paintedExtents,
  plannedAccents,
  plannedExtents,
} from './small-faults';

export interface PaintingTrial {
  readonly seed: number;
  readonly scene: number;
  readonly camera: CameraCondition;
  readonly way: 'sheet' | 'brackets' | 'corners';
  readonly megapixels: number;
  /** Seed of the photograph, where several are taken of one painting; that of the painting unless said. */
  readonly shot?: number;
  readonly card: 'measured' | 'nominal';
  /** L* by which some shapes are mistaken; 0 for a faithful painting. */
  readonly mistaken: number;
  /** Whether a thing is moved. */
  readonly moved: boolean;
  /** Whether the thing that is moved has no name. */
  readonly nameless?: boolean;
  /** Whether small faults are planted too: in its lines, in how far its shapes reach, or between values. */
  readonly small?: 'accents' | 'extents' | 'modelling';
  /** How far the thing is moved, widths, where that is said; and how many times as large small faults are as is usual. */
  readonly far?: number;
  readonly size?: number;
  /** Whether every shape has another hue. */
  readonly hues?: boolean;
  /** Whether its smallest shape has a touch of red in it. */
  readonly touch?: boolean;
  /** Painted with a large brush in few greys close together. */
  readonly rough?: boolean;
  /** How it is no painting of what it is measured against. */
  readonly wrong?: Wrong;
}

export interface PlantedShape {
  readonly name: string;
  readonly area: number;
  /** L* by which it is mistaken. */
  readonly by: number;
  readonly box: { readonly x: number; readonly y: number; readonly width: number; readonly height: number };
}

export interface PaintingOutcome {
  readonly trial: PaintingTrial;
  readonly accepted: boolean;
  readonly codes: readonly string[];
  readonly whole: { readonly made: Whole; readonly read: PaintingResult['registration'] };
  /** Every shape of the picture that is large enough to be named. */
  readonly shapes: readonly (PlantedShape & { readonly residual: number | null })[];
  readonly regions: PaintingResult['regions'];
  /** All that is said of it. */
  readonly findings: readonly Finding[];
  /** How each part of a moved thing was moved, at its own middle; the thing itself first. */
  readonly moved: { readonly made: Move; readonly parts: readonly MovedPart[] } | null;
  readonly displacements: PaintingResult['displacements'];
  readonly accents: {
    readonly planted: readonly PlantedAccent[];
    /** Each with how much of such a line was painted there, planted or not. */
    readonly told: readonly (PaintingResult['accents'][number] & { readonly kept: number })[];
  };
  readonly extents: {
    readonly planted: readonly { readonly name: string; readonly kind: string; readonly by: number }[];
    readonly painted: readonly PaintedEdge[];
    readonly told: PaintingResult['extents'];
  };
  /** What every shape's gradient is off by from side to side, L*, and pairs that stand out of each other by so much more. */
  readonly modelled: {
    readonly gradients: readonly { readonly name: string; readonly by: number }[];
    readonly pairs: readonly { readonly names: readonly [string, string]; readonly by: number }[];
  };
  readonly contrasts: PaintingResult['contrasts'];
  readonly accentsOfColour: PaintingResult['accentsOfColour'];
  /** Lightness that 5, 50 and 95 percent lie below: as read less as painted. */
  readonly range: readonly number[];
  readonly milliseconds: number;
}

/** How many steps a part may be off by. */
const TOLERANCE_STEPS = 0.5;

/** A large brush, and values that lie close together. */
const ROUGHLY = { smallest: 0.03, unsure: 2.5, squeezed: [42, 80] } as const;

export default async function runPaintingTrial(trial: PaintingTrial): Promise<PaintingOutcome> {
  const { seed, camera, megapixels } = trial;
  const own = chance(seed).fork('painting trial');
  const reference = await referenceOf(trial.scene);
  const { width, height, lightness } = reference;
  const ends = { light: 96, dark: 20 };
  const { of } = valueMap(valueSpan(lightness), { ends, key: 'full', pushPercent: 0 });
  const named = shapesOf(reference);
  const chosen = own.fork('shapes');
  // Never so many that nobody could say which of them are mistaken.
  let left = 0.3;
  const mistaken = new Map<number, number>(
    trial.mistaken === 0
      ? []
      : named.flatMap(({ shape, area }) => {
          if (area > Math.min(0.2, left) || chosen.next() > 0.35) return [];
          left -= area;
          return [[shape, (chosen.next() < 0.5 ? -1 : 1) * trial.mistaken] as const];
        }),
  );
  const move = trial.moved ? moveOf(named, own.fork('move'), trial.far) : null;
  const whole = own.next() < 0.1 ? AS_IT_IS : wholeOf(own.fork('whole'));
  const [low, high] = ROUGHLY.squeezed;
  const squeezed = (l: number) => low + ((of(l) - ends.dark) / (ends.light - ends.dark)) * (high - low);
  const lines = trial.small === 'accents' ? plannedAccents(reference, own.fork('lines'), trial.size) : null;
  const reaches = trial.small === 'extents' ? plannedExtents(reference, named, own.fork('reaches'), trial.size) : null;
  const modelled = trial.small === 'modelling' ? plannedModelling(reference, named, of, own.fork('modelled')) : null;
  modelled?.mistaken.forEach((by, shape) => mistaken.set(shape, by));
  const plane = finely(reference);
  const seen = lines ? withAccents(plane.data, plane.width, plane.height, lines.wanted) : plane.data;
  const blank = await blankFor(trial, trial.card === 'measured' ? 'office' : 'nominal', height / width);
  const { surface, canvas } = paintPicture(
    blank.surface,
    blank.frame,
    {
      ...(await seenFor({ ...trial, touched: trial.touch ? smallestOf(named) : null }, reference, own.fork('seen'))),
      ...(modelled && { lightness: modelled.lightness }),
    },
    {
      whole,
      moves: move ? [move] : [],
      stray: own.between(0.001, 0.003),
      smallest: trial.rough ? ROUGHLY.smallest : own.between(0.006, 0.014),
      unsure: trial.rough ? ROUGHLY.unsure : own.between(0.5, 1.5),
      value: trial.rough ? squeezed : of,
      mistaken,
      ground: own.between(60, 93),
      streaks: own.between(0, 1),
      ...(lines && { accents: lines.painted }),
      ...(reaches && { spreads: reaches.spreads, busy: reaches.busy }),
    },
    seed,
  );
  const shot = { way: trial.way, camera, megapixels, seed: trial.shot ?? seed };
  const jpeg = await photograph(surface, blank.stage, shotFor(camera, blank.stage, shot.seed, megapixels), shot.seed);
  const photo = await decodePhoto(jpeg);
  const { cv } = await loadOpenCv();
  const card: KnownCard | null = trial.card === 'measured' ? { basis: 'measured', readings: blank.readings } : null;
  const began = performance.now();
  const { result } = await measurePainting(
    photo,
    {
      reference: paintingReference(cv, {
        lightness: { ...plane, data: seen },
        target: { ...plane, data: seen.map(of) },
        shapes: namedPlane(
          reference,
          named.filter(({ shape }) => !(trial.nameless && move?.shapes.includes(shape))),
        ),
      }),
      step: (ends.light - ends.dark) / 8,
      lightest: ends.light,
      ...{ ruleWins: false, accent: 'told' },
      toleranceSteps: TOLERANCE_STEPS,
      expected: { exercise: null, student: null },
      target: targetOf(shot, blank, trial.way === 'corners' ? 2 : 0),
      ...(card && { card }),
    },
    { cv, readQr },
  );
  const edges = reaches
    ? paintedExtents(reference, named, canvas.drawing.shapeOf, canvas.shows).map(({ shape, beside, ...how }) => ({
        ...how,
        name: nameOf(shape),
        beside: nameOf(beside),
      }))
    : [];
  const sorted = Float32Array.from(canvas.painted).sort();
  const at = (share: number) => sorted[Math.floor(share * sorted.length)] as number;
  const { student } = result.range ?? {};
  return {
    trial,
    accepted: result.capture.accepted,
    codes: result.capture.issues.map((i) => i.code),
    whole: { made: whole, read: result.registration },
    shapes: named.map(({ shape, area, box }) => ({
      name: nameOf(shape),
      area,
      box,
      by: mistaken.get(shape) ?? 0,
      residual: result.shapes.find((s) => s.name === nameOf(shape))?.residual ?? null,
    })),
    regions: result.regions,
    findings: critiquePainting(result, TOLERANCE_STEPS),
    moved: move && { made: move, parts: movedParts(reference, canvas, whole, move, nameOf) },
    displacements: result.displacements,
    accents: {
      planted: lines?.planted ?? [],
      told: result.accents.map((told) => ({ ...told, kept: keptOf(canvas, reference, of, told) })),
    },
    extents: {
      planted: reaches?.planted.map(({ shape, ...how }) => ({ ...how, name: nameOf(shape) })) ?? [],
      painted: edges,
      told: ofTheSmaller(result.extents, edges),
    },
    modelled: {
      gradients: [...(modelled?.gradients ?? [])].map(([shape, by]) => ({ name: nameOf(shape), by })),
      pairs: (modelled?.pairs ?? []).map(({ shapes: [a, b], by }) => ({ names: [nameOf(a), nameOf(b)], by })),
    },
    contrasts: result.contrasts,
    accentsOfColour: result.accentsOfColour,
    range: student ? [student.p5 - at(0.05), student.p50 - at(0.5), student.p95 - at(0.95)] : [],
    milliseconds: performance.now() - began,
  };
}
