/** A picture in few tones painted on a sheet or on a board, and photographed. */
import type { CardReadings } from '@/core/capture/card-profile';
import type { Target } from '@/core/capture/target';
import { boxCorners, type BoxMm } from '@/core/geometry/box';
import { drawExerciseSheet } from '@/core/handout/exercise-sheet';
import { sampleWords } from '@/core/handout/sample-words';
import { defaultTerms, exerciseLayout } from '@/core/kinds/table';
import type { Photo } from '@/core/raster/photo';
import { photograph } from '@/devices/camera';
import { shotFor } from '@/devices/camera-conditions';
import { type CameraCondition } from '@/devices/condition-names';
import { type NotanPlan, paintTones, type ToneMap } from '@/devices/notan-painter';
import { print, type PrinterCondition } from '@/devices/printer';
import { chance } from '@/devices/random';
import { readColours } from '@/devices/reader';
import type { Surface } from '@/devices/reflectance';
import { type Stage } from '@/devices/shot';
import { sheetToPng } from '@/print/sheet-png';
import { decodePhoto } from '@/workers/decoding/decode';
import { emptyBoard, pixelsOfPlaces } from './stage';

export interface NotanShot {
  readonly seed: number;
  readonly camera: CameraCondition;
  readonly way: 'sheet' | 'brackets' | 'corners';
  readonly megapixels: number;
}

export interface Blank {
  readonly surface: Surface;
  readonly stage: Stage;
  readonly frame: BoxMm;
  /** What an instrument reads of the print. */
  readonly readings: CardReadings;
}

/**
 * A board between corner pieces, or a sheet with one frame, that nobody has painted on. The proportion of a board is left to chance
 * where none is asked for; the sheet of a copy in colour has coloured patches.
 */
export async function blankFor(
  { way, seed }: Pick<NotanShot, 'way' | 'seed'>,
  printer: PrinterCondition = 'nominal',
  proportion?: number,
  kind: 'notan' | 'master-copy' = 'notan',
): Promise<Blank> {
  if (way === 'brackets') {
    const own = chance(seed).fork('board size');
    const widthMm = own.between(240, 800);
    return emptyBoard({ widthMm, heightMm: widthMm * (proportion ?? own.between(0.7, 0.95)) }, printer, seed);
  }
  const terms = defaultTerms(kind);
  const layout = exerciseLayout(terms);
  const words = sampleWords();
  const frame = layout.cells[0];
  if (!frame) throw new Error('The sheet has no frame.');
  const { surface } = await print(await sheetToPng(drawExerciseSheet(terms, words), 200), printer, seed);
  const { xMm, yMm } = layout.qrBox;
  const [paper, ...patches] = readColours(
    surface,
    [{ xMm: xMm - 12, yMm, widthMm: 10, heightMm: 10 }, ...layout.patches, ...layout.chroma],
    seed,
  );
  return {
    surface,
    stage: layout,
    frame,
    readings: { paper: paper ?? null, patches: new Map(patches.map((lab, i) => [i + 1, lab])) },
  };
}

/** A plan of which nobody knows yet how large the paper is: its frame is a share of the width. */
export interface ShotPlan extends Omit<NotanPlan, 'frame'> {
  readonly frame: { readonly share: number; readonly lightness: number } | null;
}

/** The photograph, how it is framed, and the tone that each place of the map's grid got. */
export async function photographed(
  shot: NotanShot,
  map: ToneMap,
  plan: ShotPlan,
): Promise<{ readonly photo: Photo; readonly target: Target; readonly painted: ToneMap }> {
  const { seed, camera, megapixels } = shot;
  const blank = await blankFor(shot);
  const { surface, stage, frame } = blank;
  const { surface: finished, painted } = paintTones(
    surface,
    frame,
    map,
    { ...plan, frame: plan.frame && { mm: plan.frame.share * frame.widthMm, lightness: plan.frame.lightness } },
    seed,
  );
  const photo = await decodePhoto(await photograph(finished, stage, shotFor(camera, stage, seed, megapixels), seed));
  return { photo, target: targetOf(shot, blank), painted };
}

/** How a photograph says what it is framed by; corners are so many pixels off, as a hand drags them. */
export function targetOf({ way, camera, seed, megapixels }: NotanShot, { stage, frame }: Blank, off = 0): Target {
  if (way === 'brackets') return { kind: 'brackets', depthMm: 0 };
  if (way === 'sheet') return { kind: 'sheet' };
  const hand = chance(seed).fork('corners');
  return {
    kind: 'corners',
    corners: pixelsOfPlaces(stage, camera, seed, megapixels, boxCorners(frame)).map(({ x, y }) => ({
      x: x + off * hand.gauss(),
      y: y + off * hand.gauss(),
    })),
  };
}
