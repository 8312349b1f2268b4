/** A painting from life measured by its own masses, where somebody showed them on it. */
import { targetIn } from '@/core/capture/target';
import { keyedEnds, pictureStep } from '@/core/exercise/key';
import type { Judging } from '@/core/exercise/judging';
import type { Ends } from '@/core/exercise/scale';
import type { AccentAsked } from '@/core/painting/colour/colour-accents';
import { fewGreys } from '@/core/painting/values/few-greys';
import { measureFromLife } from '@/core/painting/from-life';
import type { ShapePlane } from '@/core/painting/shapes/named-shapes';
import { laidOnEarlier } from '@/core/painting/rescue/changed';
import type { PaintingResult } from '@/core/painting/result';
import type { StageAsked } from '@/core/painting/stage';
import type { Plane } from '@/core/raster/between';
import { raster } from '@/core/raster/raster';
import { type MassEdit, massPlane, type SetUpMass } from '@/core/reference/set-up';
import { withPhoto } from '../decoding/decode';
import { loadOpenCv } from '../decoding/opencv';
import { lightnessFromPng, lightnessToPng } from '../decoding/planes';
import { readQr } from '../decoding/read-qr';
import type { Photograph, Stage } from './measure';
import { shapeFrom } from './prepared-plane';

export interface PaintingFromLifeTask extends Photograph {
  readonly task: 'measure-from-life';
  readonly ends: Ends;
  readonly key: Judging['key'];
  /** The masses of the set-up, how many lights it has, and where they were shown; null until somebody did. */
  readonly painted: {
    readonly masses: readonly SetUpMass[];
    readonly lights: number;
    readonly edits: readonly MassEdit[];
  } | null;
  /** The state that it is handed in at, and a file of how the one before looked, if there is one; left out of what has no states. */
  readonly stage?: StageAsked & { readonly before: string | null };
  /** Whether a touch of colour may stand in it; not looked for unless said. */
  readonly accent?: AccentAsked['accent'];
  readonly sheetKinds: readonly string[];
}

export interface PaintingFromLife {
  readonly result: PaintingResult;
  /** PNG of 16 bits of what was painted, laid on the state before where there is one; null where it could not be used. */
  readonly lightness: Uint8Array | null;
}

function shapesOn(plane: Plane, { masses, lights, edits }: NonNullable<PaintingFromLifeTask['painted']>): ShapePlane {
  const { width, height } = plane;
  const { nameOf } = massPlane(fewGreys(plane), width, height, edits, masses);
  return { width, height, shapeOf: nameOf, shapes: masses.map(shapeFrom), lights };
}

export async function measurePaintingFromLife(
  task: PaintingFromLifeTask,
  onStage?: (stage: Stage) => void,
): Promise<PaintingFromLife> {
  onStage?.('opening the picture');
  const { painted, expected, sheetKinds, card, lineMm, accent } = task;
  const ends = keyedEnds(task.ends, task.key);
  const before = task.stage?.before ? await lightnessFromPng(task.stage.before) : null;
  const { cv } = await loadOpenCv();
  const { result, plane } = await withPhoto(task.file, task.orientation, (photo) =>
    measureFromLife(
      photo,
      {
        shapesOn: (own) => painted && shapesOn(own, painted),
        ends,
        step: pictureStep(ends),
        ...(accent && { accent }),
        ...(task.stage && { stage: { ...task.stage, before } }),
        target: targetIn(photo, task.target),
        expected,
        sheetKinds,
        ...(card && { card }),
        ...(lineMm !== undefined && { lineMm }),
      },
      { cv, readQr, ...(onStage && { onStage }) },
    ),
  );
  const laid = plane && before ? laidOnEarlier(before, plane) : plane;
  return {
    result,
    lightness: laid && (await lightnessToPng(raster('lightness', laid.width, laid.height, 1, laid.data))),
  };
}
