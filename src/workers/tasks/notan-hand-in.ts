/** A hand-in in few tones measured against its prepared reference, and judged again when a reading is accepted. */
import { targetIn } from '@/core/capture/target';
import { lightnessToGreyCode } from '@/core/colour/grey-code';
import type { Ends } from '@/core/exercise/scale';
import { judgePainting, notanTargets, type PaintingAsked } from '@/core/notan/judge-painting';
import { asItCounts, type Reading } from '@/core/notan/judge-tones';
import { measureNotan } from '@/core/notan/measure-notan';
import type { NotanResult } from '@/core/notan/result';
import type { ReferencePlane } from '@/core/reference/prepared-tones';
import { namedPlaces } from '@/core/reference/shape-cut';
import { type MassEdit, massPlane, type SetUpMass } from '@/core/reference/set-up';
import { flippedShapes, type TonePlane } from '@/core/tones/compare-tones';
import type { Mass, MassPlane } from '@/core/tones/mass';
import { withPhoto } from '../decoding/decode';
import { loadOpenCv } from '../decoding/opencv';
import { greyPng, lightnessToPng, maskFromPng, maskToPng, planesFromPng, planesToPng } from '../decoding/planes';
import { readQr } from '../decoding/read-qr';
import type { Photograph, Stage } from './measure';
import { planeOf, type PreparedReference } from './prepared-plane';

/** A reading as it is stored: a mask on the reference's grid, and the tone that also counts there. */
export interface ReadingFile {
  readonly mask: string;
  readonly tone: number;
}

/** Masses of a set-up, and where they were painted on one picture of it. */
export interface MassesPainted {
  readonly masses: readonly SetUpMass[];
  readonly edits: readonly MassEdit[];
}

export interface NotanHandInTask extends Photograph {
  readonly task: 'measure-notan';
  /** Null where it is painted from life. */
  readonly reference: PreparedReference | null;
  readonly tones: number;
  /** Kinds whose sheets may stand for the one that is expected. */
  readonly sheetKinds: readonly string[];
  /** From life: masses that were painted on this picture before. */
  readonly painted: MassesPainted | null;
  readonly frameIsDark: boolean;
  /** With the key that the picture is to have. */
  readonly ends: Ends;
  readonly pushPercent: number;
  readonly readings: readonly ReadingFile[];
}

export interface NotanHandIn {
  readonly result: NotanResult;
  /** PNG of tones as wanted and as drawn, and of named shapes; null where nothing was read. */
  readonly planes: Uint8Array | null;
  readonly names: readonly Mass[];
  /** PNG of 16 bits of the painting's own lightness; null where nothing was read. */
  readonly lightness: Uint8Array | null;
}

function namesOf({ shapes, names }: ReferencePlane): MassPlane {
  const { numberOf, named } = namedPlaces(shapes, names);
  return { nameOf: numberOf, names: named };
}

type Grid = Pick<TonePlane, 'width' | 'height'>;

/** Readings that were accepted on this grid: those of a picture of other proportions say nothing of it. */
async function readingsFrom(files: readonly ReadingFile[], grid: Grid): Promise<Reading[]> {
  const all = await Promise.all(files.map(async ({ mask, tone }) => ({ places: await maskFromPng(mask, grid), tone })));
  return all.flatMap(({ places, tone }) => (places ? [{ places, tone }] : []));
}

/** What a painting is measured against on its grid: tones and named shapes of a picture, or only masses that were painted on it. */
async function groundOf(task: NotanHandInTask) {
  if (!task.reference) return { reference: null, named: null, readings: [] };
  const plane = await planeOf(task.reference);
  const { width, height, toneOf } = plane;
  return {
    reference: { width, height, toneOf },
    named: namesOf(plane),
    readings: await readingsFrom(task.readings, plane),
  };
}

const emptyPlane = ({ width, height }: Grid): TonePlane => ({ width, height, toneOf: new Uint8Array(width * height) });

/** Tones and masses of a result judged anew. */
function judgedAgain(
  result: NotanResult,
  ends: Ends,
  of: Pick<PaintingAsked, 'drawn' | 'reference' | 'readings' | 'named'>,
): NotanResult {
  return {
    ...result,
    ...judgePainting({
      ...of,
      tones: result.tones,
      targets: result.targets ?? notanTargets(result.tones.length, ends, result.frame),
    }),
  };
}

const massesOn = (drawn: TonePlane, { edits, masses }: MassesPainted): MassPlane =>
  massPlane(drawn.toneOf, drawn.width, drawn.height, edits, masses);

export async function measureNotanHandIn(
  task: NotanHandInTask,
  onStage?: (stage: Stage) => void,
): Promise<NotanHandIn> {
  onStage?.('opening the picture');
  const { reference, named: shapes, readings } = await groundOf(task);
  const { cv } = await loadOpenCv();
  const { tones, ends, pushPercent, expected, card, lineMm, frameIsDark } = task;
  const measured = await withPhoto(task.file, task.orientation, (photo) => {
    const target = targetIn(photo, task.target);
    const beside = { ...(shapes && { named: shapes }), ...(card && { card }), ...(lineMm !== undefined && { lineMm }) };
    return measureNotan(
      photo,
      {
        reference,
        tones,
        ends,
        pushPercent,
        expected,
        sheetKinds: task.sheetKinds,
        target,
        readings,
        frameIsDark,
        ...beside,
      },
      { cv, readQr, ...(onStage && { onStage }) },
    );
  });
  const { drawn } = measured;
  const named = drawn && task.painted ? massesOn(drawn, task.painted) : shapes;
  const result =
    drawn && task.painted
      ? judgedAgain(measured.result, ends, { drawn, reference: null, readings: [], named })
      : measured.result;
  return {
    result,
    planes:
      drawn &&
      (await planesToPng({
        wanted: reference ?? emptyPlane(drawn),
        drawn,
        nameOf: named?.nameOf ?? emptyPlane(drawn).toneOf,
      })),
    names: named?.names ?? [],
    lightness: measured.lightness && (await lightnessToPng(measured.lightness)),
  };
}

export interface JudgeNotanTask {
  readonly task: 'judge-notan';
  readonly planes: string;
  readonly result: NotanResult;
  readonly names: readonly Mass[];
  readonly ends: Ends;
  readonly readings: readonly ReadingFile[];
  /** Masses painted on this very picture; null where it was painted from one. */
  readonly painted: MassesPainted | null;
}

/** The same painting judged anew, without its photograph. */
export async function judgeNotan({
  planes,
  result,
  names,
  ends,
  readings,
  painted,
}: JudgeNotanTask): Promise<NotanResult> {
  const { wanted, drawn, nameOf } = await planesFromPng(planes);
  const of = painted
    ? { reference: null, readings: [], named: massesOn(drawn, painted) }
    : { reference: wanted, readings: await readingsFrom(readings, wanted), named: { nameOf, names } };
  return judgedAgain(result, ends, { drawn, ...of });
}

export interface ReadingMaskTask {
  readonly task: 'reading-mask';
  readonly planes: string;
  readonly names: readonly Mass[];
  /** Tones of the exercise. */
  readonly tones: number;
  readonly shift: NonNullable<NotanResult['shift']>;
  readonly region: NotanResult['regions'][number];
  /** What was accepted before. */
  readonly readings: readonly ReadingFile[];
}

/** PNG of the places of one flipped region; null where it is no longer there. */
export async function readingMask({
  planes,
  names,
  tones,
  shift,
  region,
  readings,
}: ReadingMaskTask): Promise<Uint8Array | null> {
  const { wanted, drawn, nameOf } = await planesFromPng(planes);
  const { width, height } = wanted;
  const by = { x: Math.round(shift.x * width), y: Math.round(shift.y * height) };
  const { regions, regionOf } = flippedShapes(
    drawn,
    asItCounts(drawn, wanted, by, tones, await readingsFrom(readings, wanted), { nameOf, names }),
    by,
  );
  const { box } = region;
  const k = regions.findIndex(
    (r) =>
      r.drawn === region.drawn &&
      r.wanted === region.wanted &&
      (['x', 'y', 'width', 'height'] as const).every((side) => Math.abs(r.box[side] - box[side]) < 1e-6),
  );
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
  return greyPng(
    plane.toneOf.map((t) => (t === 0 ? 255 : (codes[t - 1] as number))),
    plane,
  );
}
