/** Thirty photographs of paintings measured against their picture, in times of what decoding them alone takes. */
import { untouched } from '@/core/reference/preparation';
import { valueMap, valueSpan } from '@/core/reference/value-map';
import { photograph } from '@/devices/camera';
import { shotFor } from '@/devices/camera-conditions';
import { USABLE } from '@/devices/condition-names';
import { AS_IT_IS } from '@/devices/drawing-hand';
import { paintPicture } from '@/devices/picture-painter';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { blankFor } from '../notan-stage';
import { inOwnProcess } from '../speed';
import { row } from '../tally';
import { referenceOf } from './references';

const LIMIT = { ratio: 3, megabytes: 1200 } as const;
const MEGAPIXELS = 12;
/** Quality of the files: as phones write them, noise and all. */
const QUALITY = 92;

/** Returns whether the time and memory stay within their limits. */
export async function benchPaintingSpeed(seed: number): Promise<boolean> {
  const folder = mkdtempSync(path.join(tmpdir(), 'fair-grey-bench-'));
  const reference = await referenceOf(seed);
  const { width, height } = reference;
  const picture = path.join(folder, 'picture.png');
  writeFileSync(picture, reference.png);
  const ends = { light: 96, dark: 20 };
  const { of } = valueMap(valueSpan(reference.lightness), { ends, key: 'full', pushPercent: 0 });
  const files: string[] = [];
  for (const [i, camera] of USABLE.entries()) {
    const blank = await blankFor({ seed: seed + i, way: 'sheet' }, 'nominal', height / width);
    const plan = {
      whole: { ...AS_IT_IS, shift: { x: 0.012, y: -0.008 } },
      moves: [],
      stray: 0.002,
      smallest: 0.008,
      unsure: 1,
      value: of,
      mistaken: new Map([[2 + i, 14]]),
      ground: 80,
      streaks: 0.5,
    };
    const { surface } = paintPicture(blank.surface, blank.frame, reference, plan, seed + i);
    const shot = { ...shotFor(camera, blank.stage, seed + i, MEGAPIXELS), quality: QUALITY };
    const file = path.join(folder, `${camera}.jpg`);
    writeFileSync(file, await photograph(surface, blank.stage, shot, seed + i));
    files.push(file);
  }
  const preparation = { ...untouched(width / height), ends };
  const report = await inOwnProcess({
    files,
    reference: { picture, preparation, wanted: { tones: 2, school: 'threshold' } },
  });
  rmSync(folder, { recursive: true });
  console.log(`\n${report.photographs} photographs of paintings, ${MEGAPIXELS} megapixels, two warm workers`);
  row('', 'ms', 'ratio');
  row('decoding alone', report.decodeMs, 1);
  row('measuring, decoding too', report.measureMs, report.measureMs / report.decodeMs);
  row('most memory held, MB', report.megabytes);
  return report.measureMs / report.decodeMs <= LIMIT.ratio && report.megabytes <= LIMIT.megabytes;
}
