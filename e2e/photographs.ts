/** Photographs to hand in. */
import sharp from 'sharp';
import type { CameraCondition } from '@/devices/camera-conditions';
import { planFor } from '@/devices/paint-conditions';
import { paint } from '@/devices/painter';
import { jpegOf, paintedSheet, sheetWithDabs } from '../bench/stage';

/** A plain picture: kinds that are judged by eye take any. */
export const greySheet = (): Promise<Buffer> =>
  sharp({ create: { width: 1600, height: 1200, channels: 3, background: '#8a8a8a' } }).jpeg().toBuffer();

/** A 12-megapixel phone photograph of a painted sheet of that exercise: stored on its side, with a place in it. */
export async function handInPhotograph(exercise: string, paint: 'too-close' | 'fine', seed: number): Promise<Buffer> {
  const sheet = await paintedSheet(9, 'a4', planFor(paint, 9, seed), seed, 'nominal', { exercise, student: null });
  return jpegOf(sheet, 'window', seed, 12, { orientation: 6, location: true });
}

/** Two thirds of a sheet, its fourth step painted too dark. */
export async function partlyPainted(exercise: string, seed: number): Promise<Buffer> {
  const plan = planFor('fine', 9, seed);
  const sheet = await paintedSheet(9, 'a4', plan, seed, 'nominal', { exercise, student: null });
  const lightness = plan.lightness.slice(0, 6).map((l, i) => (i === 3 ? l - 9 : l));
  const { surface } = paint(sheet.blank, sheet.layout.cells.slice(0, 6), { lightness, faults: [] }, seed);
  return jpegOf({ ...sheet, surface }, 'studio', seed, 8);
}

/** A sheet of a class in a pile, as a scanner's or a phone's smaller picture. */
export async function pilePhotograph(ids: { exercise: string | null; student: string | null }, camera: CameraCondition, seed: number): Promise<Buffer> {
  const sheet = await paintedSheet(9, 'a4', planFor('fine', 9, seed), seed, 'nominal', ids);
  return jpegOf(sheet, camera, seed, 8);
}

/** The same phone’s photograph of a sheet with one test dab on it. */
export async function dabPhotograph(exercise: string, dab: number, lightness: number): Promise<Buffer> {
  const sheet = await sheetWithDabs(9, 'a4', new Map([[dab, lightness]]), 77 + lightness, { exercise, student: null });
  return jpegOf(sheet, 'studio', 77, 12, { orientation: 6, location: true });
}
