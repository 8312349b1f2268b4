/** Reading one test dab, from a file on disk. */
import { type DabRequest, type DabResult, readDab } from '@/core/scale/read-dab';
import { decodePhoto } from './decode';
import { loadOpenCv } from './opencv';
import { readQr } from './read-qr';

export interface DabTask extends DabRequest {
  readonly task: 'dab';
  readonly file: string;
}

/** Throws UnusablePicture when the file can't be read as a photograph. */
export async function readDabFile(task: DabTask): Promise<DabResult> {
  const photo = await decodePhoto(task.file, null);
  const { cv } = await loadOpenCv();
  return readDab(photo, task, { cv, readQr });
}
