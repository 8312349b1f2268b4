/** Measuring a painting against a reference picture, both from files on disk. */
import type { KnownCard } from '@/core/capture/open-sheet';
import type { Target } from '@/core/capture/target';
import type { Judging } from '@/core/exercise/judging';
import { keyedEnds, pictureStep } from '@/core/exercise/key';
import type { Ends } from '@/core/exercise/scale';
import { defaultTerms, kindsOnSheetOf } from '@/core/kinds/table';
import type { AccentAsked } from '@/core/painting/colour/colour-accents';
import { measureFromLife } from '@/core/painting/from-life';
import { measurePainting } from '@/core/painting/measure-painting';
import { readPainting } from '@/core/painting/read-painting';
import { paintingReference, type SeenReference } from '@/core/painting/reference';
import { rescueOf } from '@/core/painting/rescue/changed';
import type { ShapePlane } from '@/core/painting/shapes/named-shapes';
import type { Plane } from '@/core/raster/between';
import type { Raster } from '@/core/raster/raster';
import type { PaintingResult } from '@/core/painting/result';
import { framed } from '@/core/reference/framing';
import { luminancePlane, softLightness } from '@/core/reference/luminance-plane';
import { valueMap, valueSpan } from '@/core/reference/value-map';
import { UnusablePicture, withPhoto } from '../decoding/decode';
import { loadOpenCv } from '../decoding/opencv';
import { readQr } from '../decoding/read-qr';
import type { Stage } from './measure';
import { shapesFrom } from './shapes-file';

export interface PaintingTask {
  readonly file: string;
  /** The picture that it was painted from; none from life. */
  readonly reference?: string;
  /** A photograph of the same painting in an earlier state, framed in the same way. */
  readonly before?: string;
  /** JSON that names the shapes of the reference, beside a picture of their labels. */
  readonly shapes?: string;
  readonly ends: Ends;
  readonly key: Judging['key'];
  readonly pushPercent: number;
  /** Whether colours are asked for, on a sheet with coloured patches. */
  readonly coloured: boolean;
  /** Whether a touch of colour may stand in it; not looked for unless said. */
  readonly accent?: AccentAsked['accent'];
  readonly target: Target;
  readonly card?: KnownCard;
}

/** Of the command line a sheet is expected that has one frame to paint a picture in. */
const FRAMED = kindsOnSheetOf(defaultTerms('monochrome-painting'));
/** How many steps a part may be off by. */
export const TOLERANCE_STEPS = 0.5;
const LEAST_SIDE_PX = 32;

const WHOLE = [
  { x: 0, y: 0 },
  { x: 1, y: 0 },
  { x: 1, y: 1 },
  { x: 0, y: 1 },
] as const;

interface Picture {
  readonly lightness: Plane;
  readonly colours?: Raster<'linear', 3>;
}

/** L* of a picture as it is, and its colours if they are asked for. Throws UnusablePicture on one that is too small. */
async function pictureFrom(file: string, coloured: boolean): Promise<Picture> {
  const { plane, colours } = await withPhoto(file, null, (photo) => ({
    plane: luminancePlane(photo),
    colours: coloured ? framed(photo, WHOLE, photo.width / photo.height) : null,
  }));
  if (Math.min(plane.width, plane.height) < LEAST_SIDE_PX)
    throw new UnusablePicture(
      `The reference is ${plane.width} x ${plane.height} pixels: give a picture of at least ${LEAST_SIDE_PX} each way.`,
    );
  return { lightness: softLightness(plane, 0), ...(colours && { colours }) };
}

/** A picture as paint is to have it, with the shapes that were named on it. */
function seenAs(
  { lightness, colours }: Picture,
  shapes: ShapePlane | null,
  { ends, key, pushPercent }: PaintingTask,
): SeenReference {
  const { of } = valueMap(valueSpan(lightness.data), { ends, key, pushPercent });
  const target = { ...lightness, data: lightness.data.map(of) };
  return { lightness, target, shapes, ...(colours && { colours }) };
}

/** Throws UnusablePicture when a file can't be used; BadCorners and WrongCard on what was given beside the photograph. */
export async function measurePaintingFile(
  task: PaintingTask,
  onStage?: (stage: Stage) => void,
): Promise<PaintingResult> {
  onStage?.('opening the picture');
  const { ends, key, target, card, coloured, accent } = task;
  const keyed = keyedEnds(ends, key);
  const picture = task.reference === undefined ? null : await pictureFrom(task.reference, coloured);
  // Without a picture they lie on the painting itself, whatever its proportion.
  const named = task.shapes === undefined ? null : await shapesFrom(task.shapes, picture?.lightness ?? null);
  const shapes = named?.plane ?? null;
  const { cv } = await loadOpenCv();
  const tools = { cv, readQr, ...(onStage && { onStage }) };
  const framing = {
    target,
    expected: { exercise: null, student: null },
    sheetKinds: FRAMED,
    coloured,
    ...(accent && { accent }),
    ...(card && { card }),
  };
  const step = pictureStep(keyed);
  const { result, plane } = await withPhoto(task.file, null, (photo) =>
    picture
      ? measurePainting(
          photo,
          {
            ...framing,
            reference: paintingReference(cv, seenAs(picture, shapes, task)),
            step,
            lightest: keyed.light,
            ruleWins: named?.ruleWins ?? false,
            toleranceSteps: TOLERANCE_STEPS,
          },
          tools,
        )
      : measureFromLife(photo, { ...framing, shapesOn: () => shapes, ends: keyed, step }, tools),
  );
  // Where nothing is known of light and dark both states have the same ends, and nothing can be told of what changed.
  if (task.before === undefined || !plane || result.capture.mode === 'relative') return result;
  const earlier = await withPhoto(task.before, null, (photo) => readPainting(photo, framing, keyed, tools));
  if (!earlier.painting) {
    const why = earlier.issues[0]?.say ?? 'nothing could be read on it.';
    throw new UnusablePicture(`The photograph of the state before can’t be used: ${why}`);
  }
  return { ...result, rescue: rescueOf(earlier.painting.plane, plane, keyed) };
}
