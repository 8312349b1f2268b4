/** Reading one test dab, from a file on disk. */
import type { ExerciseTerms } from '@/core/exercise/terms';
import { exerciseLayout } from '@/core/kinds/table';
import { type DabRequest, type DabResult, readDab } from '@/core/scale/read-dab';
import { withPhoto } from '../decoding/decode';
import { loadOpenCv } from '../decoding/opencv';
import { readQr } from '../decoding/read-qr';

export interface DabTask extends Omit<DabRequest, 'layoutOn'> {
  readonly task: 'dab';
  readonly terms: ExerciseTerms;
  readonly file: string;
}

/** Throws UnusablePicture when the file can't be read as a photograph. */
export async function readDabFile(task: DabTask): Promise<DabResult> {
  const { cv } = await loadOpenCv();
  return withPhoto(task.file, null, (photo) =>
    readDab(photo, { ...task, layoutOn: (paper) => exerciseLayout({ ...task.terms, paper }) }, { cv, readQr }),
  );
}
