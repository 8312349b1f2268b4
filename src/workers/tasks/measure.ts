/** Measuring one photograph, from a file on disk to a critique draft. The command line and the pool share it. */
import type { KnownCard } from '@/core/capture/open-sheet';
import type { StoredTarget } from '@/core/capture/stored-target';
import { type Target } from '@/core/capture/target';
import { type MeasureStage, type MeasureTools } from '@/core/capture/tools';
import type { Triple } from '@/core/colour/srgb';
import { critiqueScale } from '@/core/critique/scale-critique';
import type { NumberingId } from '@/core/exercise/numbering';
import type { SteppedTerms } from '@/core/exercise/terms';
import { chipRows } from '@/core/kinds/exercise-layout';
import type { Photo } from '@/core/raster/photo';
import type { ScaleTerms } from '@/core/scale/flags';
import { measureScale } from '@/core/scale/measure';
import { measureBands } from '@/core/scale/measure-bands';
import type { ScaleResult } from '@/core/scale/result';
import { decodePhoto, withPhoto } from '../decoding/decode';
import { loadOpenCv } from '../decoding/opencv';
import { readQr } from '../decoding/read-qr';

export interface MeasureScaleTask {
  readonly task: 'measure-scale';
  readonly file: string;
  /** EXIF orientation 1 to 8 when the file no longer holds it; null reads it from the file. */
  readonly orientation: number | null;
  readonly terms: SteppedTerms;
  /** What is in the picture; a worksheet unless said. */
  readonly target?: Target | StoredTarget;
  /** Whether its sheet carries coloured patches; told by the kind unless said. */
  readonly hue?: boolean;
  /** What the exercise's paints predict: colours of the steps in reading order, and the pure colour's lightness where there is one. */
  readonly paints?: { readonly labs: readonly Triple[]; readonly pure: number | null };
  readonly card?: KnownCard;
  /** Length on paper of the line that each corner piece calls 100 mm, where somebody measured it. */
  readonly lineMm?: number;
  /** Photograph of the sheet blank, in the same light. */
  readonly flat?: string;
  readonly numbering: NumberingId;
  readonly expected: { readonly exercise: string | null; readonly student: string | null };
}

export type Stage = 'opening the picture' | MeasureStage;

/** What a scale's readings are compared with: the pure colour's place too, where the paints tell it. */
function scaleTerms({ terms, paints }: MeasureScaleTask): ScaleTerms {
  if (terms.kind !== 'monochrome-scale' || typeof paints?.pure !== 'number') return terms;
  return { ...terms, pure: { lightness: paints.pure, at: terms.pureAt } };
}

/** What a photograph measures, without a draft of a critique. */
export async function measured(photo: Photo, task: MeasureScaleTask, tools: MeasureTools): Promise<ScaleResult> {
  const { terms, expected, paints } = task;
  const target =
    task.target?.kind === 'marked'
      ? {
          kind: 'corners' as const,
          corners: task.target.corners.map((c) => ({ x: c.x * photo.width, y: c.y * photo.height })),
        }
      : task.target;
  const known = { ...(task.card && { card: task.card }), ...(task.lineMm !== undefined && { lineMm: task.lineMm }) };
  if (terms.kind === 'bands')
    return measureBands(photo, { terms, expected, ...(target && { target }), ...known }, tools);
  const hue = task.hue ?? terms.kind !== 'scale';
  const flat = task.flat === undefined ? null : await decodePhoto(task.flat);
  return measureScale(
    photo,
    {
      terms: scaleTerms(task),
      expected,
      hue,
      ...(terms.kind === 'colours-on-scale' && { chipRows: chipRows(terms.chips, terms.steps) }),
      ...(paints && { paints: paints.labs }),
      ...(target && { target }),
      ...known,
      ...(flat && { flat }),
    },
    tools,
  );
}

/** Throws UnusablePicture when the file can't be read as a photograph; WrongCard, BadFlat and BadCorners on what was given beside it. */
export async function measureScaleFile(task: MeasureScaleTask, onStage?: (stage: Stage) => void): Promise<ScaleResult> {
  onStage?.('opening the picture');
  const { cv } = await loadOpenCv();
  const result = await withPhoto(task.file, task.orientation, (photo) =>
    measured(photo, task, { cv, readQr, ...(onStage && { onStage }) }),
  );
  // A draft from readings that would mislead would mislead too.
  return {
    ...result,
    findings: result.capture.accepted ? critiqueScale(result, scaleTerms(task), task.numbering) : [],
  };
}
