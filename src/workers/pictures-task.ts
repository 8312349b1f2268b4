/** Pictures of a hand-in to look at: the photograph upright and small, the strip straightened in true greys. */
import sharp from 'sharp';
import { calibrate, reflectances } from '@/core/capture/calibrate';
import { locateSheet } from '@/core/capture/locate';
import { sampleBox } from '@/core/capture/sample';
import { linearToCode } from '@/core/colour/srgb';
import type { Raster } from '@/core/raster/raster';
import { NOMINAL_CARD } from '@/core/sheet/card';
import { type BoxMm, boxMm } from '@/core/sheet/paper';
import { scaleLayout, type ScaleLayout } from '@/core/sheet/scale-layout';
import { decodePhoto } from './decode';
import { loadOpenCv } from './opencv';

export interface PicturesTask {
  readonly task: 'pictures';
  readonly file: string;
  readonly orientation: number | null;
  readonly steps: number;
}

export interface Pictures {
  readonly preview: Uint8Array;
  /** Null where the sheet was not found. */
  readonly strip: Uint8Array | null;
}

const PREVIEW_PX = 1600;
const STRIP_STEP_MM = 0.14;
const STRIP_MARGIN_MM = 2;

/** The box round all cells of a scale. */
export function stripBox(layout: ScaleLayout): BoxMm {
  const m = STRIP_MARGIN_MM;
  const right = Math.max(...layout.cells.map((c) => c.xMm + c.widthMm)) + m;
  const bottom = Math.max(...layout.cells.map((c) => c.yMm + c.heightMm)) + m;
  const left = Math.min(...layout.cells.map((c) => c.xMm)) - m;
  const top = Math.min(...layout.cells.map((c) => c.yMm)) - m;
  return boxMm(left, top, right - left, bottom - top);
}

async function straightStrip(photo: Raster<'srgb8', 3>, steps: number): Promise<Uint8Array | null> {
  const { cv } = await loadOpenCv();
  const located = locateSheet(cv, photo);
  if (located.kind !== 'located') return null;
  const layout = scaleLayout(steps, located.frame.paper);
  const { calibration } = calibrate(photo, located.plane, layout, NOMINAL_CARD);
  if (!calibration) return null;
  const samples = sampleBox(photo, located.plane, stripBox(layout), STRIP_STEP_MM);
  const linear = reflectances(calibration, samples);
  const codes = new Uint8Array(linear.length);
  for (let i = 0; i < linear.length; i++) codes[i] = linearToCode(linear[i] as number);
  return sharp(codes, { raw: { width: samples.columns, height: samples.rows, channels: 3 } })
    .jpeg({ quality: 92, chromaSubsampling: '4:4:4' })
    .toBuffer();
}

export async function makePictures(task: PicturesTask): Promise<Pictures> {
  const photo = await decodePhoto(task.file, task.orientation);
  const preview = await sharp(photo.data, { raw: { width: photo.width, height: photo.height, channels: 3 } })
    .resize({ width: PREVIEW_PX, height: PREVIEW_PX, fit: 'inside', withoutEnlargement: true })
    .jpeg({ quality: 85 })
    .toBuffer();
  return { preview, strip: await straightStrip(photo, task.steps) };
}
