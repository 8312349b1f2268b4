/** A look in mid-work on a photograph: two thirds of a sheet are painted, one step of it wrongly. */
import { defaultScale } from '@/core/exercise/scale';
import { judgeLook } from '@/core/look/judge-look';
import { targetsFor } from '@/core/scale/flags';
import { paint } from '@/devices/painter';
import { takeLook } from '@/workers/tasks/look';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import sharp from 'sharp';
import { jpegOf, paintedSheet } from './stage';

const terms = defaultScale('gouache', 9);
const targets = targetsFor(terms, []);
const SEED = 171;
const WRONG = 4;
const DONE = 6;

test('marks are confirmed or not by what was painted, and what is not painted yet is no mistake', async () => {
  const folder = mkdtempSync(path.join(tmpdir(), 'fair-grey-look-'));
  try {
    const sheet = await paintedSheet(9, 'a4', { lightness: targets, faults: [] }, SEED);
    const lightness = targets.slice(0, DONE).map((t, i) => (i + 1 === WRONG ? t - 8 : t));
    const { surface } = paint(sheet.blank, sheet.layout.cells.slice(0, DONE), { lightness, faults: [] }, SEED);
    const file = path.join(folder, 'look.jpg');
    writeFileSync(file, await jpegOf({ ...sheet, surface }, 'window', SEED, 8, { orientation: 6, location: true }));
    const { look, issues, picture } = await takeLook({
      task: 'look',
      file,
      orientation: null,
      terms,
      target: null,
      expected: { exercise: null, student: null },
    });
    expect(issues.filter((i) => i.code !== 'outside_card')).toEqual([]);
    if (!look || !picture) throw new Error('No look came of it.');
    const middle = (step: number) => {
      const ring = look.cells.find((c) => c.step === step)?.rings[0] ?? [];
      const mean = (k: 0 | 1) => ring.reduce((s, p) => s + p[k], 0) / ring.length;
      return { x: mean(0), y: mean(1) };
    };
    const { marks, missed } = judgeLook(look, [middle(WRONG), middle(3), middle(8)]);
    expect(marks.map((m) => m?.word)).toEqual(['off', 'right', 'unpainted']);
    expect(Math.abs((marks[0]?.error ?? 0) + 8)).toBeLessThan(1.5);
    expect(missed).toEqual([]);
    expect(judgeLook(look, []).missed.map((m) => m.step)).toEqual([WRONG]);
    // The picture is in greys, straightened to the size that the outlines are told in.
    const { data, info } = await sharp(picture).raw().toBuffer({ resolveWithObject: true });
    expect(info.width / info.height).toBeCloseTo(look.aspect, 1);
    const at = (step: number) => {
      const { x, y } = middle(step);
      return (Math.floor(y * info.height) * info.width + Math.floor(x * info.width)) * info.channels;
    };
    expect(data[at(1)] as number).toBeGreaterThan((data[at(DONE)] as number) + 60);
    if (info.channels === 3) expect([data[at(5) + 1], data[at(5) + 2]]).toEqual([data[at(5)], data[at(5)]]);
  } finally {
    rmSync(folder, { recursive: true });
  }
});
