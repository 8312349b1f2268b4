/** A picture in few tones painted on a sheet or on a board, and photographed. */
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
import { print } from '@/devices/printer';
import { chance } from '@/devices/random';
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

interface Blank {
  readonly surface: Surface;
  readonly stage: Stage;
  readonly frame: BoxMm;
}

async function blank({ way, seed }: NotanShot): Promise<Blank> {
  if (way === 'brackets') {
    const own = chance(seed).fork('board size');
    const widthMm = own.between(240, 800);
    return emptyBoard({ widthMm, heightMm: widthMm * own.between(0.7, 0.95) }, 'nominal', seed);
  }
  const terms = defaultTerms('notan');
  const layout = exerciseLayout(terms);
  const words = sampleWords();
  const frame = layout.cells[0];
  if (!frame) throw new Error('The sheet has no frame.');
  return {
    surface: (await print(await sheetToPng(drawExerciseSheet(terms, words), 200), 'nominal', seed)).surface,
    stage: layout,
    frame,
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
  const { seed, camera, way, megapixels } = shot;
  const { surface, stage, frame } = await blank(shot);
  const { surface: finished, painted } = paintTones(
    surface,
    frame,
    map,
    { ...plan, frame: plan.frame && { mm: plan.frame.share * frame.widthMm, lightness: plan.frame.lightness } },
    seed,
  );
  const photo = await decodePhoto(await photograph(finished, stage, shotFor(camera, stage, seed, megapixels), seed));
  const target: Target =
    way === 'corners'
      ? { kind: 'corners', corners: pixelsOfPlaces(stage, camera, seed, megapixels, boxCorners(frame)) }
      : way === 'brackets'
        ? { kind: 'brackets', depthMm: 0 }
        : { kind: 'sheet' };
  return { photo, target, painted };
}
