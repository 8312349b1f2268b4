/** What was painted, straightened: on a worksheet, a board with corner pieces, or between marked corners. */
import { calibrate } from '@/core/capture/calibrate';
import { type Calibration, reflectances } from '@/core/capture/calibration';
import { sheetCard } from '@/core/capture/card-in-photo';
import { nominalProfile, readProfile } from '@/core/capture/card-profile';
import { locateSheet } from '@/core/capture/locate';
import { openFree } from '@/core/capture/open-free';
import type { KnownCard } from '@/core/capture/open-sheet';
import { sampleBox } from '@/core/capture/sample';
import type { StoredTarget } from '@/core/capture/stored-target';
import { targetIn } from '@/core/capture/target';
import { linearToCode } from '@/core/colour/srgb';
import { LUMINANCE_WEIGHTS } from '@/core/colour/xyz';
import type { ExerciseTerms } from '@/core/exercise/terms';
import { type BoxMm, boxMm } from '@/core/geometry/box';
import { exerciseLayout, kindOf } from '@/core/kinds/table';
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

/** What is known of the print: pictures are shown by the same calibration that readings were made with. */
export interface KnownPrint {
  readonly card?: KnownCard;
  readonly lineMm?: number;
}

async function ofSheet(photo: Photo, terms: ExerciseTerms, { card }: KnownPrint): Promise<Straight | null> {
  const { cv } = await loadOpenCv();
  const located = locateSheet(cv, photo);
  if (located.kind !== 'located') return null;
  const layout = exerciseLayout({ ...terms, paper: located.frame.paper });
  const [frame] = layout.cells;
  const profile = card ? readProfile(layout, card.readings, card.basis) : nominalProfile(layout);
  const { calibration } = calibrate(photo, sheetCard(located.plane, layout), profile);
  // What is looked at place by place, beside its reference or its own values, is cut out along its frame, with no margin.
  const isPicture = kindOf(terms).sheet === 'frame';
  return (
    calibration && {
      photo,
      calibration,
      box: isPicture && frame ? frame : paintedBox(layout),
      stepMm: SHEET_STEP_MM,
      gain: 1,
      greyOnly: false,
      layout,
    }
  );
}

/** How much lighter a picture is shown of which no white is known. */
function gainOf({ calibration, box }: { calibration: Calibration; box: BoxMm }, photo: Photo, stepMm: number): number {
  const light = [...reflectances(calibration, sampleBox(photo, calibration.plane, box, stepMm * 8))].sort(
    (a, b) => a - b,
  );
  return LIGHTEST / Math.max(0.01, light[Math.floor(0.98 * light.length)] ?? 1);
}

async function ofTarget(photo: Photo, target: StoredTarget, print: KnownPrint): Promise<Straight | null> {
  const { cv } = await loadOpenCv();
  const free = targetIn(photo, target);
  if (free.kind === 'sheet' || free.kind === 'unsaid') return null;
  const opened = openFree(photo, free, print, cv);
  if (opened.kind !== 'open') return null;
  const { calibration, box, relative } = opened;
  const stepMm = Math.max(box.widthMm, box.heightMm) / CUT_PX;
  const gain = relative ? gainOf(opened, photo, stepMm) : 1;
  return { photo, calibration, box, stepMm, gain, greyOnly: relative, layout: null };
}

/** Null where it was not found. */
export function straighten(
  photo: Photo,
  terms: ExerciseTerms,
  target: StoredTarget | null,
  print: KnownPrint = {},
): Promise<Straight | null> {
  return target ? ofTarget(photo, target, print) : ofSheet(photo, terms, print);
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
