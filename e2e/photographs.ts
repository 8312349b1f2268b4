/** Readings of simulated photographs against their truth, in plain Node: under Jest's sandbox the camera takes minutes. */
import { defaultScale } from '@/core/exercise/scale';
import { measureScale } from '@/core/scale/measure';
import { USABLE } from '@/devices/camera-conditions';
import { planFor } from '@/devices/paint-conditions';
import { decodePhoto } from '@/workers/decode';
import { loadOpenCv } from '@/workers/opencv';
import { readQr } from '@/workers/read-qr';
import { jpegOf, paintedSheet } from '../bench/stage';

/** Throws unless every reading lies within 1.5 L* of the paint. */
export async function proveReadings(): Promise<void> {
  const { cv } = await loadOpenCv();
  const request = { terms: defaultScale('gouache', 9), expected: { exercise: 'ex1', student: 'st1' } };
  for (const [i, condition] of USABLE.slice(0, 3).entries()) {
    const sheet = await paintedSheet(9, 'a4', planFor('fine', 9, 40 + i), 40 + i);
    const result = await measureScale(await decodePhoto(await jpegOf(sheet, condition, 40 + i)), request, { cv, readQr });
    if (!result.capture.accepted) throw new Error(`${condition} was refused: ${JSON.stringify(result.capture.issues)}`);
    const worst = Math.max(...result.steps.map((s, k) => Math.abs(s.lightness - (sheet.truth.steps[k]?.lightness ?? 0))));
    if (worst > 1.5) throw new Error(`${condition}: a reading is ${worst.toFixed(2)} L* off.`);
  }
}

/** A 12-megapixel phone photograph of a painted sheet of that exercise: stored on its side, with a place in it. */
export async function handInPhotograph(exercise: string, paint: 'too-close' | 'fine', seed: number): Promise<Buffer> {
  const sheet = await paintedSheet(9, 'a4', planFor(paint, 9, seed), seed, 'nominal', { exercise, student: null });
  return jpegOf(sheet, 'window', seed, 12, { orientation: 6, location: true });
}
