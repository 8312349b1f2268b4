/** Measuring one photograph, from a file on disk to a critique draft. The command line and the pool share it. */
import type { KnownCard } from '@/core/capture/open-sheet';
import { measureScale, type MeasureStage, type Target } from '@/core/scale/measure';
import { critiqueScale } from '@/core/critique/scale-critique';
import type { NumberingId } from '@/core/exercise/numbering';
import type { ScaleTerms } from '@/core/scale/flags';
import type { ScaleResult } from '@/core/scale/result';
import { decodePhoto } from './decode';
import { loadOpenCv } from './opencv';
import { readQr } from './read-qr';

export interface MeasureScaleTask {
  readonly task: 'measure-scale';
  readonly file: string;
  /** EXIF orientation 1 to 8 when the file no longer holds it; null reads it from the file. */
  readonly orientation: number | null;
  /** What is in the picture; a worksheet unless said. */
  readonly target?: Target;
  /** Whether its sheet carries coloured patches. */
  readonly hue?: boolean;
  readonly card?: KnownCard;
  /** Photograph of the sheet blank, in the same light. */
  readonly flat?: string;
  readonly terms: ScaleTerms;
  readonly numbering: NumberingId;
  readonly expected: { readonly exercise: string | null; readonly student: string | null };
}

export type Stage = 'opening the picture' | MeasureStage;

/** Throws UnusablePicture when the file can't be read as a photograph. */
export async function measureScaleFile(task: MeasureScaleTask, onStage?: (stage: Stage) => void): Promise<ScaleResult> {
  onStage?.('opening the picture');
  const photo = await decodePhoto(task.file, task.orientation);
  const { cv } = await loadOpenCv();
  const { terms, expected, target, hue, card } = task;
  const flat = task.flat === undefined ? null : await decodePhoto(task.flat);
  const request = { terms, expected, ...(target && { target }), ...(hue && { hue }), ...(card && { card }), ...(flat && { flat }) };
  const result = await measureScale(photo, request, { cv, readQr, onStage });
  // A draft from readings that would mislead would mislead too.
  return { ...result, findings: result.capture.accepted ? critiqueScale(result, task.terms, task.numbering) : [] };
}
