/** A hand-in in few tones measured against its prepared reference, and judged again when a reading is accepted. */
import type { KnownCard } from '@/core/capture/open-sheet';
import type { StoredTarget } from '@/core/capture/stored-target';
import { critiqueNotan, type NotanAsks } from '@/core/critique/notan-critique';
import type { Ends } from '@/core/exercise/scale';
import { flippedShapes } from '@/core/notan/compare-tones';
import { judgeTones, type NamedPlace, type Names, type Reading, withReadings } from '@/core/notan/judge-tones';
import { measureNotan } from '@/core/notan/measure-notan';
import type { NotanResult } from '@/core/notan/result';
import { TooFewTones } from '@/core/notan/thresholds';
import { lightnessToGreyCode } from '@/core/colour/grey-code';
import { framed } from '@/core/reference/framing';
import type { Preparation } from '@/core/reference/preparation';
import { NothingToPrepare } from '@/core/reference/prepare';
import { type ReferencePlane, referencePlane, type Wanted } from '@/core/reference/prepared-tones';
import { OneSided } from '@/core/reference/shadow-map';
import type { Target } from '@/core/scale/measure';
import { UnusablePicture, withPhoto } from './decode';
import type { Stage } from './measure-task';
import { loadOpenCv } from './opencv';
import { greyPng, maskFromPng, maskToPng, planesFromPng, planesToPng } from './planes';
import { readQr } from './read-qr';

export interface PreparedReference {
  /** The picture that is worked on. */
  readonly picture: string;
  readonly preparation: Preparation;
  readonly wanted: Wanted;
}

/** A reading as it is stored: a mask on the reference's grid, and the tone that also counts there. */
export interface ReadingFile {
  readonly mask: string;
  readonly tone: number;
}

export interface NotanHandInTask {
  readonly task: 'measure-notan';
  readonly file: string;
  readonly orientation: number | null;
  readonly reference: PreparedReference;
  readonly ends: Ends;
  readonly asks: NotanAsks;
  readonly target: StoredTarget | null;
  readonly expected: { readonly exercise: string | null; readonly student: string | null };
  readonly readings: readonly ReadingFile[];
  readonly card?: KnownCard;
  readonly lineMm?: number;
}

export interface NotanHandIn {
  readonly result: NotanResult;
  /** PNG of tones as wanted and as drawn, and of named shapes; null where nothing was read. */
  readonly planes: Uint8Array | null;
  readonly names: readonly NamedPlace[];
}

/** The reference as an exercise wants it. Throws UnusablePicture with what to do about it. */
export async function planeOf({ picture, preparation, wanted }: PreparedReference): Promise<ReferencePlane> {
  try {
    return await withPhoto(picture, null, (photo) => referencePlane(framed(photo, preparation.corners, preparation.proportion), preparation, wanted));
  } catch (error) {
    if (error instanceof TooFewTones || error instanceof NothingToPrepare || error instanceof OneSided) throw new UnusablePicture(`The reference can’t be measured against: ${error.message}`);
    throw error;
  }
}

/** Numbers of named shapes, place by place. */
function namesOf({ shapes, names }: ReferencePlane): Names {
  const list = [...names];
  const number = new Map(list.map(([shape], k) => [shape, k + 1]));
  return { nameOf: Uint8Array.from(shapes.shapeOf, (s) => number.get(s) ?? 0), names: list.map(([, { name, emphasis }]) => ({ name, emphasis })) };
}

const readingsFrom = (files: readonly ReadingFile[]): Promise<Reading[]> => Promise.all(files.map(async ({ mask, tone }) => ({ places: await maskFromPng(mask), tone })));

export async function measureNotanHandIn(task: NotanHandInTask, onStage?: (stage: Stage) => void): Promise<NotanHandIn> {
  onStage?.('opening the picture');
  const plane = await planeOf(task.reference);
  const named = namesOf(plane);
  const { cv } = await loadOpenCv();
  const { ends, expected, card, lineMm } = task;
  const readings = await readingsFrom(task.readings);
  const reference = { width: plane.width, height: plane.height, toneOf: plane.toneOf };
  const { result, drawn } = await withPhoto(task.file, task.orientation, (photo) => {
    const target: Target = task.target?.kind === 'marked' ? { kind: 'corners', corners: task.target.corners.map((c) => ({ x: c.x * photo.width, y: c.y * photo.height })) } : (task.target ?? { kind: 'sheet' });
    return measureNotan(photo, { reference, tones: task.reference.wanted.tones, ends, expected, target, readings, named, ...(card && { card }), ...(lineMm !== undefined && { lineMm }) }, { cv, readQr, ...(onStage && { onStage }) });
  });
  return {
    // A draft from a photograph that would mislead would mislead too.
    result: { ...result, findings: result.capture.accepted ? critiqueNotan(result, ends, task.asks) : [] },
    planes: drawn && (await planesToPng({ wanted: reference, drawn, nameOf: named.nameOf })),
    names: named.names,
  };
}

export interface JudgeNotanTask {
  readonly task: 'judge-notan';
  readonly planes: string;
  readonly result: NotanResult;
  readonly names: readonly NamedPlace[];
  readonly ends: Ends;
  readonly asks: NotanAsks;
  readonly readings: readonly ReadingFile[];
}

/** The same painting judged anew, without its photograph. */
export async function judgeNotan({ planes, result, names, ends, asks, readings }: JudgeNotanTask): Promise<NotanResult> {
  const { wanted, drawn, nameOf } = await planesFromPng(planes);
  const { shares, referenceShares, ...judged } = judgeTones(drawn, wanted, result.tones.length, await readingsFrom(readings), { nameOf, names });
  const next: NotanResult = { ...result, ...judged, tones: result.tones.map((t, k) => ({ ...t, share: shares[k] as number, referenceShare: referenceShares[k] as number })) };
  return { ...next, findings: critiqueNotan(next, ends, asks) };
}

export interface ReadingMaskTask {
  readonly task: 'reading-mask';
  readonly planes: string;
  readonly shift: NonNullable<NotanResult['shift']>;
  readonly region: NotanResult['regions'][number];
  /** What was accepted before. */
  readonly readings: readonly ReadingFile[];
}

/** PNG of the places of one flipped region; null where it is no longer there. */
export async function readingMask({ planes, shift, region, readings }: ReadingMaskTask): Promise<Uint8Array | null> {
  const { wanted, drawn } = await planesFromPng(planes);
  const { width, height } = wanted;
  const by = { x: Math.round(shift.x * width), y: Math.round(shift.y * height) };
  const { regions, regionOf } = flippedShapes(drawn, withReadings(drawn, wanted, by, await readingsFrom(readings)), by);
  const { box } = region;
  const k = regions.findIndex((r) => r.drawn === region.drawn && r.wanted === region.wanted && (['x', 'y', 'width', 'height'] as const).every((side) => Math.abs(r.box[side] - box[side]) < 1e-6));
  const places = Uint8Array.from(regionOf, (r) => (k >= 0 && r === k + 1 ? 1 : 0));
  return places.includes(1) ? maskToPng(places, width, height) : null;
}

export interface TonesPictureTask {
  readonly task: 'tones-picture';
  readonly planes: string;
  readonly which: 'wanted' | 'drawn';
  /** Of each tone, L*, the lightest first. */
  readonly greys: readonly number[];
}

/** PNG of one of the two planes, to look at. */
export async function tonesPicture({ planes, which, greys }: TonesPictureTask): Promise<Uint8Array> {
  const plane = (await planesFromPng(planes))[which];
  const codes = greys.map(lightnessToGreyCode);
  return greyPng(plane.toneOf.map((t) => (t === 0 ? 255 : (codes[t - 1] as number))), plane);
}
