/** Reading one test dab, from a file on disk. */
import { type DabRequest, type DabResult, readDab } from '@/core/scale/read-dab';
import { withPhoto } from './decode';
import { loadOpenCv } from './opencv';
import { readQr } from './read-qr';

export interface DabTask extends DabRequest {
  readonly task: 'dab';
  readonly file: string;
}

/** Throws UnusablePicture when the file can't be read as a photograph. */
export async function readDabFile(task: DabTask): Promise<DabResult> {
  const { cv } = await loadOpenCv();
  return withPhoto(task.file, null, (photo) => readDab(photo, task, { cv, readQr }));
}
