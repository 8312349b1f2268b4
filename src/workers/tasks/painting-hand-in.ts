/** A painting measured against the values of its prepared reference, and pictures of the two to lay side by side. */
import { targetIn } from '@/core/capture/target';
import { lightnessToGreyCode } from '@/core/colour/grey-code';
import type { AccentAsked } from '@/core/painting/colour/colour-accents';
import { fewGreys } from '@/core/painting/values/few-greys';
import { measurePainting } from '@/core/painting/measure-painting';
import type { GreyPainting } from '@/core/painting/pictures';
import type { PaintingReference } from '@/core/painting/reference';
import type { PaintingResult } from '@/core/painting/result';
import type { StageAsked } from '@/core/painting/stage';
import type { Plane } from '@/core/raster/between';
import { raster } from '@/core/raster/raster';
import { keyedEnds, pictureStep } from '@/core/exercise/key';
import { withPhoto } from '../decoding/decode';
import { loadOpenCv } from '../decoding/opencv';
import { greyPng, lightnessFromPng, lightnessToPng } from '../decoding/planes';
import { readQr } from '../decoding/read-qr';
import type { Photograph, Stage } from './measure';
import { type FirstPanel, type PreparedReference, valuesOf } from './prepared-plane';

export interface PaintingHandInTask extends Photograph {
  readonly task: 'measure-painting';
  readonly reference: PreparedReference | FirstPanel;
  readonly toleranceSteps: number;
  /** The stage that it is handed in at, and a file of how the stage before looked, if there is one. */
  readonly stage?: StageAsked & { readonly before: string | null };
  /** Whether rules of form hold where the reference itself breaks them. */
  readonly ruleWins: boolean;
  /** Whether its colours are asked for: its sheet has coloured patches then. */
  readonly coloured: boolean;
  /** Whether a touch of colour may stand in it; not looked for unless said. */
  readonly accent?: AccentAsked['accent'];
  /** Kinds whose sheets may stand for the one that is expected. */
  readonly sheetKinds: readonly string[];
}

export interface PaintingHandIn {
  readonly result: PaintingResult;
  /** PNG of 16 bits of the values that were wanted, and of what was painted, laid on them; null where it was not. */
  readonly wanted: Uint8Array | null;
  readonly laid: Uint8Array | null;
}

const kept = ({ width, height, data }: Plane): Promise<Uint8Array> =>
  lightnessToPng(raster('lightness', width, height, 1, data));

/** Pictures of what was wanted, of the references that are still known: an evening's hand-ins all ask for the same one. */
const pictures = new WeakMap<PaintingReference, Promise<Uint8Array>>();

function wantedOf(reference: PaintingReference): Promise<Uint8Array> {
  const picture = pictures.get(reference) ?? kept(reference.target);
  pictures.set(reference, picture);
  return picture;
}

export async function measurePaintingHandIn(
  task: PaintingHandInTask,
  onStage?: (stage: Stage) => void,
): Promise<PaintingHandIn> {
  onStage?.('opening the picture');
  const reference = await valuesOf(task.reference);
  const { ends, key } = task.reference.preparation;
  const { toleranceSteps, expected, sheetKinds, card, lineMm, ruleWins, coloured, accent } = task;
  const stage = task.stage && {
    ...task.stage,
    before: task.stage.before === null ? null : await lightnessFromPng(task.stage.before),
  };
  const { cv } = await loadOpenCv();
  const { result, laid } = await withPhoto(task.file, task.orientation, (photo) =>
    measurePainting(
      photo,
      {
        reference,
        ruleWins,
        coloured,
        ...(accent && { accent }),
        ...(stage && { stage }),
        step: pictureStep(keyedEnds(ends, key)),
        lightest: keyedEnds(ends, key).light,
        toleranceSteps,
        target: targetIn(photo, task.target),
        expected,
        sheetKinds,
        ...(card && { card }),
        ...(lineMm !== undefined && { lineMm }),
      },
      { cv, readQr, ...(onStage && { onStage }) },
    ),
  );
  return { result, wanted: laid && (await wantedOf(reference)), laid: laid && (await kept(laid)) };
}

export interface PaintingPictureTask {
  readonly task: 'painting-picture';
  /** Files of what was wanted, and of what was painted. */
  readonly wanted: string;
  readonly laid: string;
  readonly which: GreyPainting;
}

/** A difference is shown about this grey: lighter where the painting is too light. */
const ALIKE = 50;

/** PNG in greys of what was wanted, of what was painted, of how they differ, or of the few greys on which masses are shown. */
export async function paintingPicture({ wanted, laid, which }: PaintingPictureTask): Promise<Uint8Array> {
  const plane = await lightnessFromPng(which === 'wanted' ? wanted : laid);
  if (which === 'masses') return greyPng(fewGreys(plane), plane);
  const other = which === 'difference' ? await lightnessFromPng(wanted) : null;
  const lightness = other ? plane.data.map((l, i) => ALIKE + l - (other.data[i] as number)) : plane.data;
  return greyPng(
    Uint8Array.from(lightness, (l) => lightnessToGreyCode(Math.min(100, Math.max(0, l)))),
    plane,
  );
}
