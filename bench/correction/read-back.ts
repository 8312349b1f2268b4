/** Corrections of photographed paintings, read back from the files that are handed out: whether they are as far as was wanted. */
import { linearRgbToLab } from '@/core/colour/lab';
import type { Triple } from '@/core/colour/srgb';
import { LINEAR_OF_CODE } from '@/core/colour/srgb';
import type { Change, Layer } from '@/core/correction/layer';
import { defaultTerms } from '@/core/kinds/table';
import { filmRgb, type PaintModel, paletteOf } from '@/core/mixing/paint-model';
import { photograph } from '@/devices/camera';
import { shotFor } from '@/devices/camera-conditions';
import { USABLE } from '@/devices/condition-names';
import { chance } from '@/devices/random';
import { decodePhoto } from '@/workers/decoding/decode';
import { correctionTask } from '@/workers/tasks/correction';
import { straighten, straightJpeg } from '@/workers/tasks/straighten';
import { mkdtemp, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import path from 'node:path';
import sharp from 'sharp';
import { painted, sittingOf } from '../critique/faulty-painting';
import { quantile, row } from '../tally';

const PAINTINGS = 20;
/** L* that a change, and a glaze, may be off by. */
const LIMIT = { change: 0.5, glaze: 1 } as const;
const GLAZES = ['burnt-umber', 'ultramarine', 'raw-sienna', 'titanium-white'] as const;
const AS = ['png', 'picture'] as const;

/** An ellipse of the picture, shares of it. */
interface Spot {
  readonly x: number;
  readonly y: number;
  readonly wide: number;
  readonly tall: number;
}
interface Pixels {
  readonly width: number;
  readonly height: number;
  readonly at: (x: number, y: number) => Triple;
}

async function pixelsOf(file: string | Uint8Array): Promise<Pixels> {
  const { data, info } = await sharp(typeof file === 'string' ? file : Buffer.from(file))
    .removeAlpha()
    .raw()
    .toBuffer({ resolveWithObject: true });
  const { width, height, channels } = info;
  const linear = (p: number) => LINEAR_OF_CODE[data[p] as number] as number;
  return {
    ...{ width, height },
    at: (x, y) => {
      const p = channels * (y * width + x);
      return [linear(p), linear(p + 1), linear(p + 2)];
    },
  };
}

/** Mean L* of what is well inside a spot, each place first seen through `as`. */
function meanIn(own: Pixels, { width, height }: Pixels, { x, y, wide, tall }: Spot, as = (rgb: Triple) => rgb): number {
  let [n, sum] = [0, 0];
  for (let v = Math.floor((y - tall) * height); v < (y + tall) * height; v++)
    for (let u = Math.floor((x - wide) * width); u < (x + wide) * width; u++) {
      // Half of the way from the middle to the rim: whatever the rim does, that gets all of a change.
      const off = Math.hypot(((u + 0.5) / width - x) / wide, ((v + 0.5) / height - y) / tall);
      if (off > 0.35) continue;
      n++;
      sum += linearRgbToLab(as(own.at(u, v)))[0];
    }
  return sum / n;
}

const layerOf = ({ x, y, wide, tall }: Spot, change: Change, soft: number): Layer => ({
  ...{ id: 'spot', name: '', change },
  mask: {
    soft,
    edits: [
      {
        ...{ kind: 'outline', adds: true },
        points: Array.from({ length: 40 }, (_, k): [number, number] => {
          const turn = (2 * Math.PI * k) / 40;
          return [x + wide * Math.cos(turn), y + tall * Math.sin(turn)];
        }),
      },
    ],
  },
});

/** Returns whether every change and every glaze is within its limit. */
export async function benchReadBack(seed: number, megapixels: number): Promise<boolean> {
  console.log(`\nCorrections of ${PAINTINGS} photographed paintings read back from their files: error in L*`);
  row('', 'shapes', 'median', '95 %', 'worst');
  const folder = await mkdtemp(path.join(tmpdir(), 'fair-grey-corrections-'));
  const errors: Record<'change' | 'glaze', number[]> = { change: [], glaze: [] };
  try {
    for (let k = 0; k < PAINTINGS; k++) {
      const own = chance(seed + k).fork('correction');
      const sitting = await sittingOf(seed + k, seed + k);
      const { blank } = sitting;
      const camera = USABLE[k % USABLE.length] ?? 'studio';
      const shot = shotFor(camera, blank.stage, seed + k, megapixels);
      const { surface } = painted(sitting, sitting.planned.faults);
      const photo = await decodePhoto(await photograph(surface, blank.stage, shot, seed + k));
      const card = { basis: 'measured' as const, readings: blank.readings };
      const straight = await straighten(photo, defaultTerms('notan'), null, { card });
      if (!straight) continue;
      const file = path.join(folder, `${k}.jpg`);
      await writeFile(file, await straightJpeg(straight));
      const before = await pixelsOf(file);
      const spot: Spot = {
        ...{ x: own.between(0.25, 0.75), y: own.between(0.25, 0.75) },
        ...{ wide: own.between(0.06, 0.2), tall: own.between(0.06, 0.2) },
      };
      const soft = own.between(0, 0.06);
      const by = own.between(-14, 14);
      const was = meanIn(before, before, spot);
      // Further than black or white nothing goes.
      const possible = Math.min(99 - was, Math.max(1 - was, by));
      const paint = GLAZES[k % GLAZES.length] ?? 'burnt-umber';
      const model = paletteOf([paint]).get(paint) as PaintModel;
      const mm = own.between(0.01, 0.08);
      const glaze: Change = {
        ...{ kind: 'glaze', paint, surface: 'satin', mm },
        model: { absorption: [...model.absorption], scattering: [...model.scattering] },
      };
      const read = async (own: Change, as: (typeof AS)[number]) =>
        pixelsOf(await correctionTask({ task: 'correction', file, layers: [layerOf(spot, own, soft)], as }));
      const wanted = meanIn(before, before, spot, (rgb) => filmRgb(model, mm, rgb, 'satin'));
      for (const as of AS) {
        const lighter = await read({ kind: 'lightness', by: possible }, as);
        errors.change.push(Math.abs(meanIn(lighter, before, spot) - was - possible));
        errors.glaze.push(Math.abs(meanIn(await read(glaze, as), before, spot) - wanted));
      }
    }
  } finally {
    await rm(folder, { recursive: true, force: true });
  }
  return (['change', 'glaze'] as const)
    .map((what) => {
      const all = errors[what];
      const worst = Math.max(...all);
      row(
        what === 'change' ? 'changes of light' : 'glazes',
        all.length,
        quantile(all, 0.5),
        quantile(all, 0.95),
        worst,
      );
      return all.length >= 1.8 * PAINTINGS && worst <= LIMIT[what];
    })
    .every(Boolean);
}
