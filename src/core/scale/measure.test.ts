import { jpegOf, paintedSheet, pixelsOf } from '@bench/stage';
import { critiqueScale } from '../critique/scale-critique';
import { defaultScale } from '../exercise/scale';
import { UNUSABLE, type UnusableCondition, USABLE } from '@/devices/camera-conditions';
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
  for (const [i, condition] of USABLE.slice(0, 3).entries()) {
    const sheet = await paintedSheet(9, 'a4', planFor('random', 9, 40 + i), 40 + i);
    const result = await measureScale(await decodePhoto(await jpegOf(sheet, condition, 40 + i)), request, { cv, readQr });
    expect(result.capture.accepted).toBe(true);
    result.steps.forEach((s, k) => errors.push(Math.abs(s.lightness - (sheet.truth.steps[k]?.lightness ?? 0))));
  }
  errors.sort((a, b) => a - b);
  expect(errors[Math.floor(errors.length / 2)]).toBeLessThan(0.5);
  expect(errors.at(-1)).toBeLessThan(1.5);
}, 180_000);

test('photographs that would mislead are refused with the right code', async () => {
  const { cv } = await loadOpenCv();
  const sheet = await paintedSheet(9, 'a4', planFor('fine', 9, 60), 60);
  for (const condition of ['glare', 'dark', 'burnt', 'no-sheet', 'cut-off'] as UnusableCondition[]) {
    const result = await measureScale(pixelsOf(sheet, condition, 60, 6), request, { cv, readQr });
    expect(result.capture.accepted).toBe(false);
    expect(result.capture.issues.map((i) => i.code)).toContain(UNUSABLE[condition]);
  }
}, 180_000);

test('a painted fault makes its finding, and a fine sheet makes none', async () => {
  const { cv } = await loadOpenCv();
  const fixesOf = async (paint: 'fine' | 'too-close' | 'weak-black') => {
    const sheet = await paintedSheet(9, 'a4', planFor(paint, 9, 70), 70);
    const result = await measureScale(pixelsOf(sheet, 'window', 70, 12), request, { cv, readQr });
    return critiqueScale(result, terms, 'white-is-one').filter((f) => f.kind === 'fix').map((f) => f.code);
  };
  expect(await fixesOf('fine')).toEqual([]);
  expect(await fixesOf('too-close')).toEqual(['too_close']);
  expect(await fixesOf('weak-black')).toEqual(['weak_black']);
}, 180_000);
