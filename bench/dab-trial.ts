/** One trial of checking mixes: a sheet with a few dabs on it is photographed, and each dab is read. Runs in a worker thread. */
import { readDab } from '@/core/scale/read-dab';
import { scaleLayout } from '@/core/sheet/scale-layout';
import type { CameraCondition } from '@/devices/condition-names';
import { decodePhoto } from '@/workers/decoding/decode';
import { loadOpenCv } from '@/workers/decoding/opencv';
import { readQr } from '@/workers/decoding/read-qr';
import { jpegOf, sheetWithDabs } from './stage';

/** Half a phone's, in half the time. */
const MEGAPIXELS = 4;

export interface DabTrial {
  readonly steps: number;
  readonly dabs: readonly (readonly [dab: number, lightness: number])[];
  readonly camera: CameraCondition;
  readonly seed: number;
}

export interface DabOutcome {
  readonly trial: DabTrial;
  readonly codes: readonly string[];
  readonly readings: readonly {
    readonly dab: number;
    readonly truth: number;
    readonly read: number;
    readonly uncertainty: number;
  }[];
  /** Whether a dab that nobody painted reads as bare; null where all are painted, or nothing was read. */
  readonly bareIsBare: boolean | null;
}

export default async function runDabTrial(trial: DabTrial): Promise<DabOutcome> {
  const { steps, dabs, camera, seed } = trial;
  const sheet = await sheetWithDabs(steps, 'a4', new Map(dabs), seed);
  const photo = await decodePhoto(await jpegOf(sheet, camera, seed, MEGAPIXELS));
  const { cv } = await loadOpenCv();
  const read = (dab: number) =>
    readDab(
      photo,
      { layoutOn: (paper) => scaleLayout(steps, paper), dab, expected: { exercise: 'ex1', student: 'st1' } },
      { cv, readQr },
    );
  const found = [];
  for (const [i, [dab]] of dabs.entries()) {
    const { reading, issues } = await read(dab);
    found.push({
      dab,
      truth: sheet.truth.steps[i]?.lightness ?? Number.NaN,
      reading,
      codes: issues.map((c) => c.code),
    });
  }
  const free = Array.from({ length: steps }, (_, i) => i + 1).find((d) => !dabs.some(([dab]) => dab === d));
  const bare = free === undefined ? null : await read(free);
  return {
    trial,
    codes: [...new Set(found.flatMap((f) => f.codes))],
    readings: found.flatMap(({ dab, truth, reading }) =>
      reading ? [{ dab, truth, read: reading.lab[0], uncertainty: reading.uncertainty }] : [],
    ),
    bareIsBare: bare?.reading ? bare.bare : null,
  };
}
