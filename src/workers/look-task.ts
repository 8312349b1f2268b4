/** A look in mid-work: what there is so far, flattened and in true greys, and what it measures. */
import { bandPicture } from '@/core/bands/band-picture';
import type { CaptureIssue } from '@/core/capture/gate';
import { lookOf } from '@/core/look/judge-look';
import type { LookCell, StoredLook } from '@/core/look/stored-look';
import type { SteppedTerms } from '@/core/exercise/terms';
import { readStrip } from '@/core/scale/read-strip';
import type { BoxMm } from '@/core/sheet/paper';
import { decodePhoto } from './decode';
import { measured, type MeasureScaleTask } from './measure-task';
import { loadOpenCv } from './opencv';
import { readQr } from './read-qr';
import { type Straight, straighten, straightJpeg } from './straighten';
import type { StoredTarget } from '@/core/capture/stored-target';

export interface LookTask extends Omit<MeasureScaleTask, 'task' | 'target'> {
  readonly task: 'look';
  readonly target: StoredTarget | null;
}

export interface LookTaken {
  /** Null where the picture can't be read; the issues then say why. */
  readonly look: StoredLook | null;
  readonly issues: readonly CaptureIssue[];
  /** JPEG bytes of what is painted, in greys; null with the look. */
  readonly picture: Uint8Array | null;
}

const rectangle = ({ xMm: x, yMm: y, widthMm: w, heightMm: h }: BoxMm): [number, number][] => [[x, y], [x + w, y], [x + w, y + h], [x, y + h]];

/** Outlines of the steps, mm on the plane of what was straightened. */
function outlines(straight: Straight, terms: SteppedTerms): { readonly step: number; readonly rings: readonly (readonly [number, number][])[] }[] {
  const { photo, calibration, box, layout } = straight;
  if (!layout) return readStrip(photo, calibration, box, terms.steps, terms.order).cells.map((c) => ({ step: c.index, rings: [rectangle(c)] }));
  const [frame] = layout.cells;
  if (terms.kind !== 'bands' || !frame) return layout.cells.map((c) => ({ step: c.index, rings: [rectangle(c)] }));
  return bandPicture(terms).bands.map((band) => ({
    step: terms.order === 'light-first' ? band.index : terms.steps + 1 - band.index,
    rings: band.shape.flat().map((ring) => ring.map(([x, y]): [number, number] => [x + frame.xMm, y + frame.yMm])),
  }));
}

function cellsOf(straight: Straight, terms: SteppedTerms): LookCell[] {
  const { xMm, yMm, widthMm, heightMm } = straight.box;
  return outlines(straight, terms).map(({ step, rings }) => ({ step, rings: rings.map((ring) => ring.map(([x, y]): [number, number] => [(x - xMm) / widthMm, (y - yMm) / heightMm])) }));
}

/** Throws UnusablePicture when the file can't be read as a photograph. */
export async function takeLook({ target, ...given }: LookTask): Promise<LookTaken> {
  const photo = await decodePhoto(given.file, given.orientation);
  const { cv } = await loadOpenCv();
  const { terms } = given;
  const result = await measured(photo, { ...given, task: 'measure-scale', ...(target && { target }) }, { cv, readQr });
  const { accepted, issues } = result.capture;
  const straight = accepted ? await straighten(photo, terms, target) : null;
  if (!straight) return { look: null, issues, picture: null };
  const look = lookOf(result, terms, cellsOf(straight, terms), straight.box.widthMm / straight.box.heightMm);
  return { look, issues, picture: await straightJpeg(straight, true) };
}
