/** Pictures of a hand-in to look at: the photograph upright and small, the strip straightened in true greys. */
import sharp, { type Sharp } from 'sharp';
import type { ExerciseTerms } from '@/core/exercise/terms';
import { calibrate, type Calibration, reflectances, sheetCard } from '@/core/capture/calibrate';
import { nominalProfile } from '@/core/capture/card-profile';
import { openBoard } from '@/core/capture/open-board';
import { openMarked } from '@/core/capture/open-corners';
import type { StoredTarget } from '@/core/capture/stored-target';
import { locateSheet } from '@/core/capture/locate';
import { sampleBox } from '@/core/capture/sample';
import { LUMINANCE_WEIGHTS } from '@/core/colour/xyz';
import { linearToCode } from '@/core/colour/srgb';
import type { Orientation, Photo } from '@/core/raster/photo';
import { type BoxMm, boxMm } from '@/core/sheet/paper';
import { exerciseLayout } from '@/core/sheet/exercise-layout';
import type { SheetLayout } from '@/core/sheet/layout';
import { decodePhoto, MAX_PIXELS } from './decode';
import { loadOpenCv } from './opencv';

export interface PicturesTask {
  readonly task: 'pictures';
  readonly file: string;
  readonly orientation: number | null;
  readonly terms: ExerciseTerms;
  readonly target?: StoredTarget;
}

export interface Pictures {
  readonly preview: Uint8Array;
  /** What was painted on the sheet, straightened, in true greys; null where the sheet was not found. */
  readonly strip: Uint8Array | null;
}

const PREVIEW_PX = 1600;
const STRIP_STEP_MM = 0.14;
const STRIP_MARGIN_MM = 2;

/** The box round all that is painted. */
export function stripBox(layout: SheetLayout): BoxMm {
  const m = STRIP_MARGIN_MM;
  const right = Math.max(...layout.cells.map((c) => c.xMm + c.widthMm)) + m;
  const bottom = Math.max(...layout.cells.map((c) => c.yMm + c.heightMm)) + m;
  const left = Math.min(...layout.cells.map((c) => c.xMm)) - m;
  const top = Math.min(...layout.cells.map((c) => c.yMm)) - m;
  return boxMm(left, top, right - left, bottom - top);
}

async function straightStrip(photo: Photo, terms: ExerciseTerms): Promise<Uint8Array | null> {
  const { cv } = await loadOpenCv();
  const located = locateSheet(cv, photo);
  if (located.kind !== 'located') return null;
  const layout = exerciseLayout({ ...terms, paper: located.frame.paper });
  const { calibration } = calibrate(photo, sheetCard(located.plane, layout), nominalProfile(layout));
  if (!calibration) return null;
  return strip(photo, calibration, stripBox(layout), STRIP_STEP_MM, 1);
}

/** Longer side of a picture cut out of a board or between marked corners. */
const CUT_PX = 1400;
/** Of what has no known white the lightest place is shown as light as good white paint, and all of it grey: its colour is the lamp's as much as the paint's. */
const LIGHTEST = 0.86;

/** What lies between marked corners or corner pieces, straightened; null where it was not found. */
async function straightCut(photo: Photo, target: StoredTarget): Promise<Uint8Array | null> {
  if (target.kind === 'marked') {
    const { calibration, box } = openMarked(photo, target.corners.map((c) => ({ x: c.x * photo.width, y: c.y * photo.height })), false);
    const step = Math.max(box.widthMm, box.heightMm) / CUT_PX;
    const light = [...reflectances(calibration, sampleBox(photo, calibration.plane, box, step * 8))].sort((a, b) => a - b);
    return strip(photo, calibration, box, step, LIGHTEST / Math.max(0.01, light[Math.floor(0.98 * light.length)] ?? 1), true);
  }
  const { cv } = await loadOpenCv();
  const opened = openBoard(photo, { depthMm: target.depthMm }, cv);
  if (opened.kind !== 'open') return null;
  const { widthMm, heightMm } = opened.board;
  return strip(photo, opened.calibration, boxMm(0, 0, widthMm, heightMm), Math.max(widthMm, heightMm) / CUT_PX, 1);
}

function strip(photo: Photo, calibration: Calibration, box: BoxMm, stepMm: number, gain: number, greyOnly = false): Promise<Uint8Array> {
  const samples = sampleBox(photo, calibration.plane, box, stepMm);
  const linear = reflectances(calibration, samples);
  if (greyOnly)
    for (let p = 0; p < linear.length; p += 3) linear.fill(LUMINANCE_WEIGHTS.reduce((s, w, c) => s + w * (linear[p + c] as number), 0), p, p + 3);
  const codes = new Uint8Array(linear.length);
  for (let i = 0; i < linear.length; i++) codes[i] = linearToCode(gain * (linear[i] as number));
  return sharp(codes, { raw: { width: samples.columns, height: samples.rows, channels: 3 } })
    .jpeg({ quality: 92, chromaSubsampling: '4:4:4' })
    .toBuffer();
}

/** Turns stored pixels upright. Mirrors come before turns, as the numbers 5 and 7 want it. */
export function turned(image: Sharp, orientation: Orientation): Sharp {
  switch (orientation) {
    case 1:
      return image;
    case 2:
      return image.flop();
    case 3:
      return image.rotate(180);
    case 4:
      return image.flip();
    case 5:
      return image.flop().rotate(270);
    case 6:
      return image.rotate(90);
    case 7:
      return image.flop().rotate(90);
    case 8:
      return image.rotate(270);
  }
}

export async function makePictures(task: PicturesTask): Promise<Pictures> {
  const photo = await decodePhoto(task.file, task.orientation);
  // From the file and not from its codes: for looking, the profile is to be heeded.
  const seen = turned(sharp(task.file, { failOn: 'warning', limitInputPixels: MAX_PIXELS }), photo.orientation);
  const preview = await seen
    .resize({ width: PREVIEW_PX, height: PREVIEW_PX, fit: 'inside', withoutEnlargement: true })
    .jpeg({ quality: 85 })
    .toBuffer();
  return { preview, strip: await (task.target ? straightCut(photo, task.target) : straightStrip(photo, task.terms)) };
}
