/** Measuring a painting in few tones against a reference picture, both from files on disk. */
import type { KnownCard } from '@/core/capture/open-sheet';
import type { Target } from '@/core/capture/target';
import type { Ends } from '@/core/exercise/scale';
import { defaultTerms, kindsOnSheetOf } from '@/core/kinds/table';
import { measureNotan } from '@/core/notan/measure-notan';
import type { NotanResult } from '@/core/notan/result';
import { luminancePlane, softLightness } from '@/core/reference/luminance-plane';
import { NothingToPrepare, prepareTones } from '@/core/reference/prepare';
import type { TonePlane } from '@/core/tones/compare-tones';
import { TooFewTones } from '@/core/tones/thresholds';
import { UnusablePicture, withPhoto } from '../decoding/decode';
import { loadOpenCv } from '../decoding/opencv';
import { readQr } from '../decoding/read-qr';
import type { Stage } from './measure';

export interface NotanTask {
  readonly file: string;
  readonly reference: string;
  readonly tones: number;
  readonly ends: Ends;
  readonly target: Target;
  /** A frame that was painted round the picture stands for the dark end. */
  readonly frameIsDark: boolean;
  /** Rising, L* of the reference; by the automatic rule unless given. */
  readonly thresholds?: readonly number[];
  /** A picture of light (white) and shadow (black) over the reference: two tones by what the light reaches. */
  readonly map?: string;
  readonly card?: KnownCard;
}

/** Of the command line a sheet is expected that has one frame to paint a picture in. */
const FRAMED = kindsOnSheetOf(defaultTerms('notan'));

/** Half way between the two: lighter is light. */
const LIGHT = 50;

/** The reference in its tones. Throws UnusablePicture with what to do. */
async function referenceTones({ reference, map, tones, thresholds, ends }: NotanTask): Promise<TonePlane> {
  const plane = await withPhoto(map ?? reference, null, (photo) => luminancePlane(photo));
  const { width, height } = plane;
  if (map !== undefined) {
    const own = await withPhoto(reference, null, (photo) => photo.width / photo.height);
    if (Math.abs(width / height / own - 1) > 0.02)
      throw new UnusablePicture(
        'The map of light and shadow has other proportions than the picture: draw it over the whole of it.',
      );
    const toneOf = Uint8Array.from(softLightness(plane, 0).data, (l) => (l > LIGHT ? 1 : 2));
    const light = toneOf.reduce((s, t) => s + (t === 1 ? 1 : 0), 0) / toneOf.length;
    if (light === 0 || light === 1)
      throw new UnusablePicture(
        `The map has ${light === 0 ? 'no light' : 'no shadow'} in it: paint what the light reaches white, and the rest black.`,
      );
    return { toneOf, width, height };
  }
  try {
    const { toneOf } = prepareTones(plane, { tones, squintPercent: 0, ends, ...(thresholds && { thresholds }) });
    return { toneOf, width, height };
  } catch (error) {
    throw error instanceof TooFewTones || error instanceof NothingToPrepare
      ? new UnusablePicture(`The reference: ${error.message}`)
      : error;
  }
}

/** Throws UnusablePicture when either file can't be used as a picture; BadCorners and WrongCard on what was given beside it. */
export async function measureNotanFile(task: NotanTask, onStage?: (stage: Stage) => void): Promise<NotanResult> {
  onStage?.('opening the picture');
  const reference = await referenceTones(task);
  const { cv } = await loadOpenCv();
  const { tones, ends, target, card, frameIsDark } = task;
  const { result } = await withPhoto(task.file, null, (photo) =>
    measureNotan(
      photo,
      {
        reference,
        tones,
        ends,
        target,
        frameIsDark,
        expected: { exercise: null, student: null },
        sheetKinds: FRAMED,
        ...(card && { card }),
      },
      { cv, readQr, ...(onStage && { onStage }) },
    ),
  );
  return result;
}
