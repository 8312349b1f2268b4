import { jpegOf, paintedSheet } from '@bench/stage';
import { defaultScale } from '../exercise/scale';
import { USABLE } from '@/devices/camera-conditions';
import { planFor } from '@/devices/paint-conditions';
import { decodePhoto } from '@/workers/decode';
import { loadOpenCv } from '@/workers/opencv';
import { readQr } from '@/workers/read-qr';
import { measureScale } from './measure';

const terms = { ...defaultScale('gouache', 9) };
const request = { terms, expected: { exercise: 'ex1', student: 'st1' } };

test('readings of usable photographs lie within 1.5 L* of the truth', async () => {
  const { cv } = await loadOpenCv();
  const errors: number[] = [];
  for (const [i, condition] of USABLE.slice(0, 2).entries()) {
    const sheet = await paintedSheet(9, 'a4', planFor('random', 9, 40 + i), 40 + i);
    const result = await measureScale(await decodePhoto(await jpegOf(sheet, condition, 40 + i, 3)), request, { cv, readQr });
    expect(result.capture.accepted).toBe(true);
    result.steps.forEach((s, k) => errors.push(Math.abs(s.lightness - (sheet.truth.steps[k]?.lightness ?? 0))));
  }
  errors.sort((a, b) => a - b);
  expect(errors[Math.floor(errors.length / 2)]).toBeLessThan(0.5);
  expect(errors.at(-1)).toBeLessThan(1.5);
}, 900_000);
