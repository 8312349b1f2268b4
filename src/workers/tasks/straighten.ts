/** What was painted, straightened: on a worksheet, a board with corner pieces, or between marked corners. */
import { calibrate, type Calibration, reflectances, sheetCard } from '@/core/capture/calibrate';
import { nominalProfile } from '@/core/capture/card-profile';
import { locateSheet } from '@/core/capture/locate';
import { openBoard } from '@/core/capture/open-board';
import { openMarked } from '@/core/capture/open-corners';
import { sampleBox } from '@/core/capture/sample';
import type { StoredTarget } from '@/core/capture/stored-target';
import { linearToCode } from '@/core/colour/srgb';
import { LUMINANCE_WEIGHTS } from '@/core/colour/xyz';
import type { ExerciseTerms } from '@/core/exercise/terms';
import { type BoxMm, boxMm } from '@/core/geometry/box';
import { exerciseLayout } from '@/core/kinds/exercise-layout';
import type { Photo } from '@/core/raster/photo';
import type { SheetLayout } from '@/core/sheet/layout';
import sharp from 'sharp';
import { loadOpenCv } from '../decoding/opencv';

const SHEET_STEP_MM = 0.14;
const SHEET_MARGIN_MM = 2;
/** Longer side of a picture cut out of a board or between marked corners. */
const CUT_PX = 1400;
/** Of what has no known white the lightest place is shown as light as good white paint. */
const LIGHTEST = 0.86;

export interface Straight {
  readonly photo: Photo;
  readonly calibration: Calibration;
  readonly box: BoxMm;
  readonly stepMm: number;
  readonly gain: number;
  /** Where no white is known its colour is the lamp's as much as the paint's: it is shown in grey. */
  readonly greyOnly: boolean;
  /** The sheet it lies on; null for everything else. */
  readonly layout: SheetLayout | null;
}

/** The box round all that is painted. */
export function paintedBox(layout: SheetLayout): BoxMm {
  const m = SHEET_MARGIN_MM;
  const right = Math.max(...layout.cells.map((c) => c.xMm + c.widthMm)) + m;
  const bottom = Math.max(...layout.cells.map((c) => c.yMm + c.heightMm)) + m;
  const left = Math.min(...layout.cells.map((c) => c.xMm)) - m;
  const top = Math.min(...layout.cells.map((c) => c.yMm)) - m;
  return boxMm(left, top, right - left, bottom - top);
}

/** What is laid beside its reference place by place is cut out along its frame, with no margin. */
const isCompared = (terms: ExerciseTerms): boolean => terms.kind === 'notan' || terms.kind === 'five-value';

async function ofSheet(photo: Photo, terms: ExerciseTerms): Promise<Straight | null> {
  const { cv } = await loadOpenCv();
  const located = locateSheet(cv, photo);
  if (located.kind !== 'located') return null;
  const layout = exerciseLayout({ ...terms, paper: located.frame.paper });
  const [frame] = layout.cells;
  const { calibration } = calibrate(photo, sheetCard(located.plane, layout), nominalProfile(layout));
  return (
    calibration && {
      photo,
      calibration,
      box: isCompared(terms) && frame ? frame : paintedBox(layout),
      stepMm: SHEET_STEP_MM,
      gain: 1,
      greyOnly: false,
      layout,
    }
  );
}

async function ofTarget(photo: Photo, target: StoredTarget): Promise<Straight | null> {
  if (target.kind === 'marked') {
    const { calibration, box } = openMarked(
      photo,
      target.corners.map((c) => ({ x: c.x * photo.width, y: c.y * photo.height })),
      false,
    );
    const stepMm = Math.max(box.widthMm, box.heightMm) / CUT_PX;
    const light = [...reflectances(calibration, sampleBox(photo, calibration.plane, box, stepMm * 8))].sort(
      (a, b) => a - b,
    );
    const gain = LIGHTEST / Math.max(0.01, light[Math.floor(0.98 * light.length)] ?? 1);
    return { photo, calibration, box, stepMm, gain, greyOnly: true, layout: null };
  }
  const { cv } = await loadOpenCv();
  const opened = openBoard(photo, { depthMm: target.depthMm }, cv);
  if (opened.kind !== 'open') return null;
  const { widthMm, heightMm } = opened.board;
  return {
    photo,
    calibration: opened.calibration,
    box: boxMm(0, 0, widthMm, heightMm),
    stepMm: Math.max(widthMm, heightMm) / CUT_PX,
    gain: 1,
    greyOnly: false,
    layout: null,
  };
}

/** Null where it was not found. */
export function straighten(photo: Photo, terms: ExerciseTerms, target: StoredTarget | null): Promise<Straight | null> {
  return target ? ofTarget(photo, target) : ofSheet(photo, terms);
}

/** JPEG bytes, in true colours or in true greys. */
export function straightJpeg(
  { photo, calibration, box, stepMm, gain, greyOnly }: Straight,
  grey = greyOnly,
): Promise<Uint8Array> {
  const samples = sampleBox(photo, calibration.plane, box, stepMm);
  const linear = reflectances(calibration, samples);
  if (grey)
    for (let p = 0; p < linear.length; p += 3)
      linear.fill(
        LUMINANCE_WEIGHTS.reduce((s, w, c) => s + w * (linear[p + c] as number), 0),
        p,
        p + 3,
      );
  const codes = new Uint8Array(linear.length);
  for (let i = 0; i < linear.length; i++) codes[i] = linearToCode(gain * (linear[i] as number));
  return sharp(codes, { raw: { width: samples.columns, height: samples.rows, channels: 3 } })
    .jpeg({ quality: 92, chromaSubsampling: '4:4:4' })
    .toBuffer();
}
