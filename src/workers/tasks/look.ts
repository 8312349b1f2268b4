/** A look in mid-work: what there is so far, flattened and in true greys, and what it measures. */
import { bandPicture } from '@/core/bands/band-picture';
import type { Corner } from '@/core/bands/shapes';
import type { CaptureIssue } from '@/core/capture/gate';
import type { StoredTarget } from '@/core/capture/stored-target';
import type { SteppedTerms, TermsOf } from '@/core/exercise/terms';
import type { BoxMm } from '@/core/geometry/box';
import type { FamilyId } from '@/core/kinds/family-ids';
import { kindOf } from '@/core/kinds/table';
import { lookOf } from '@/core/look/judge-look';
import type { LookCell, StoredLook } from '@/core/look/stored-look';
import type { Photo } from '@/core/raster/photo';
import { drawnOutlines, findDrawnIn } from '@/core/scale/band-cells';
import { lightestFirst, roughlyAnchored } from '@/core/scale/measure-bands';
import { readStrip } from '@/core/scale/read-strip';
import { withPhoto } from '../decoding/decode';
import { loadOpenCv } from '../decoding/opencv';
import { readQr } from '../decoding/read-qr';
import { measured, type MeasureScaleTask } from './measure';
import { type Straight, straighten, straightJpeg } from './straighten';

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

const rectangle = ({ xMm: x, yMm: y, widthMm: w, heightMm: h }: BoxMm): [number, number][] => [
  [x, y],
  [x + w, y],
  [x + w, y + h],
  [x, y + h],
];

/** Bands are counted from the lightest, steps as they are read. */
const stepOfBand = (terms: SteppedTerms, band: number): number =>
  terms.order === 'light-first' ? band : terms.steps + 1 - band;

/** Outlines of bands that somebody drew by hand. */
function drawnBands({ photo, calibration, box, layout, greyOnly }: Straight, terms: TermsOf<'bands'>): Outline[] {
  const frame = layout?.cells[0] ?? box;
  const known = greyOnly ? roughlyAnchored(photo, calibration, frame, terms.ends) : calibration;
  const drawn = findDrawnIn(photo, known, { frame, terms, targets: lightestFirst(terms), onSheet: layout !== null });
  return drawnOutlines(drawn, frame).map((rings, k) => ({ step: stepOfBand(terms, k + 1), rings }));
}

interface Outline {
  readonly step: number;
  readonly rings: readonly (readonly (readonly [number, number])[])[];
}

/** Outlines of the steps, mm on the plane of what was straightened. */
type Outlines = (straight: Straight, terms: SteppedTerms) => Outline[];

const rowOutlines: Outlines = ({ photo, calibration, box, layout }, terms) => {
  const cells = layout?.cells ?? readStrip(photo, calibration, box, terms.steps, terms.order).cells;
  return cells.map((c) => ({ step: c.index, rings: [rectangle(c)] }));
};

const bandOutlines: Outlines = (straight, stepped) => {
  const terms = stepped as TermsOf<'bands'>;
  const frame = straight.layout?.cells[0];
  if (!frame || terms.outlines === 'own') return drawnBands(straight, terms);
  const onFrame = (ring: readonly Corner[]) => ring.map(([x, y]): [number, number] => [x + frame.xMm, y + frame.yMm]);
  return bandPicture(terms).bands.map((band) => ({
    step: stepOfBand(terms, band.index),
    rings: band.shape.flat().map(onFrame),
  }));
};

/** How the steps of each family are outlined that a look reads. */
const OUTLINES: Partial<Record<FamilyId, Outlines>> = { steps: rowOutlines, chips: rowOutlines, bands: bandOutlines };

function cellsOf(straight: Straight, terms: SteppedTerms): LookCell[] {
  const { xMm, yMm, widthMm, heightMm } = straight.box;
  return (OUTLINES[kindOf(terms).family] ?? rowOutlines)(straight, terms).map(({ step, rings }) => ({
    step,
    rings: rings.map((ring) => ring.map(([x, y]): [number, number] => [(x - xMm) / widthMm, (y - yMm) / heightMm])),
  }));
}

/** Throws UnusablePicture when the file can't be read as a photograph. */
export function takeLook(task: LookTask): Promise<LookTaken> {
  return withPhoto(task.file, task.orientation, (photo) => lookAt(photo, task));
}

async function lookAt(photo: Photo, { target, ...given }: LookTask): Promise<LookTaken> {
  const { cv } = await loadOpenCv();
  const { terms } = given;
  const result = await measured(photo, { ...given, task: 'measure-scale', target }, { cv, readQr });
  const { accepted, issues } = result.capture;
  const straight = accepted ? await straighten(photo, terms, target, given) : null;
  if (!straight) return { look: null, issues, picture: null };
  const look = lookOf(result, terms, cellsOf(straight, terms), straight.box.widthMm / straight.box.heightMm);
  return { look, issues, picture: await straightJpeg(straight, true) };
}
