/**
 * The bands of a banded picture, read by the geometry they were printed with, or as plateaus where they were drawn by
 * hand: each eroded by a little, so that a wavering edge does no harm, and with what students put in front of it in
 * black split off before it is averaged.
 */
import { BAND_FRAME, bandPicture } from '../bands/band-picture';
import { type Rays, raysOf } from '../bands/rays';
import type { Corner, Shape } from '../bands/shapes';
import { deviation, STREAK_BLUR_MM } from '../capture/background-spread';
import type { Calibration } from '../capture/calibration';
import { grown, patchwork, type Patchwork } from '../capture/patchwork';
import { ciede2000 } from '../colour/ciede2000';
import { lightnessToLuminance, luminanceToLightness } from '../colour/lab';
import type { Triple } from '../colour/srgb';
import type { TermsOf } from '../exercise/terms';
import { type BoxMm } from '../geometry/box';
import { gaussianBlur } from '../raster/blur';
import type { Photo } from '../raster/photo';
import { bandOfPlaces, findPlateaus, lightestNear, type Plateaus, shapeOf, softLightness } from './plateaus';
import { barePlaces, type CellReading, medianLab, trimmedMean } from './read-cell';

const STEP_MM = 0.4;
/** Bands are read this far inside their outlines. */
const INSET_MM = 1.2;
const GROUND_DIFFERENCE = 4;
const OVER_PAPER = 6;
/** Darker than this much above the black end may be a silhouette. */
const SILHOUETTE = 8;
/** A band that is no lighter than this above the black end can't be told from what stands in front of it. */
const CLEARLY_LIGHTER = 6;

/** 1 where a place of the patchwork lies in the shape (mm in the frame), row by row with the even-odd rule. */
function maskOf(p: Patchwork, frame: BoxMm, shape: Shape): Uint8Array {
  const { columns, rows, stepXMm, stepYMm, xMm, yMm } = p.samples;
  const mask = new Uint8Array(columns * rows);
  for (let r = 0; r < rows; r++) {
    const y = yMm + (r + 0.5) * stepYMm - frame.yMm;
    const crossings: number[] = [];
    for (const ring of shape.flat())
      for (let i = 0; i + 1 < ring.length; i++) {
        const [x0, y0] = ring[i] as [number, number];
        const [x1, y1] = ring[i + 1] as [number, number];
        if (y0 > y !== y1 > y) crossings.push(x0 + ((y - y0) / (y1 - y0)) * (x1 - x0));
      }
    crossings.sort((a, b) => a - b);
    for (let k = 0; k + 1 < crossings.length; k += 2) {
      const from = Math.max(0, Math.ceil(((crossings[k] as number) + frame.xMm - xMm) / stepXMm - 0.5));
      const to = Math.min(columns - 1, Math.floor(((crossings[k + 1] as number) + frame.xMm - xMm) / stepXMm - 0.5));
      for (let c = from; c <= to; c++) mask[r * columns + c] = 1;
    }
  }
  return mask;
}

/** The mask with a rim of `mm` round it. */
function widened(mask: Uint8Array, p: Patchwork, mm: number): Uint8Array {
  const { columns, rows, stepXMm } = p.samples;
  return grown(mask, columns, rows, Math.max(1, Math.round(mm / stepXMm)));
}

/** The mask without a rim of `mm`. */
function eroded(mask: Uint8Array, p: Patchwork, mm: number): Uint8Array {
  const wide = widened(
    mask.map((v) => 1 - v),
    p,
    mm,
  );
  return mask.map((v, i) => (v === 1 && wide[i] === 0 ? 1 : 0));
}

const placesOf = (mask: Uint8Array, p: Patchwork): number[] => {
  const places: number[] = [];
  for (let i = 0; i < mask.length; i++) if (mask[i] === 1 && !Number.isNaN(p.y[i] as number)) places.push(i);
  return places;
};

/** Where a hand wavered over an outline a little of the neighbour lies in a band: so much at each tail is left out of its spread. */
const TAIL = 0.06;

function withoutTails(values: number[]): number[] {
  const cut = Math.floor(TAIL * values.length);
  return values.sort((a, b) => a - b).slice(cut, values.length - cut);
}

/** `ground` is null where nothing is known of what is under the paint. */
function readPlaces(p: Patchwork, soft: Float32Array, all: readonly number[], ground: Triple | null): CellReading {
  const centre = medianLab(p, all);
  const apart = ground !== null && ciede2000(centre, ground) >= GROUND_DIFFERENCE;
  const bareAt = apart ? barePlaces(p, all, ground, centre) : new Uint8Array(p.y.length);
  const painted = all.filter((i) => bareAt[i] === 0);
  const own = painted.length > 0 ? painted : all;
  const limit = ground ? lightnessToLuminance(ground[0] + OVER_PAPER) : Infinity;
  return {
    lab: trimmedMean(p, own),
    spread: deviation(withoutTails(own.map((i) => luminanceToLightness(soft[i] as number)))),
    bareGround: apart ? 1 - painted.length / all.length : null,
    overflow: null,
    clipped: all.filter((i) => p.samples.clipped[i] === 1).length / all.length,
    shine: { rise: 0, overPaper: all.filter((i) => (soft[i] as number) > limit).length / all.length },
    edges: null,
  };
}

export interface BandReadings {
  /** Lightest band first; null where so little of a band shows that it can't be read. */
  readonly bands: readonly (CellReading | null)[];
  readonly silhouette: CellReading | null;
  /** How many bands can be told apart. */
  readonly told: number;
}

/** Of a band so narrow that its inset takes nearly all of it, less is left out: its edges are drawn near to others of its kind. */
const NARROW_INSET_MM = 0.5;
/** Fewer places than this (1 cm²) make no band. */
const LEAST_CM2 = 1;
/** Boards are read more coarsely than sheets: so many places along the longer side at the most. */
const MOST_SAMPLES = 480;

export interface BandsToRead {
  readonly frame: BoxMm;
  readonly terms: TermsOf<'bands'>;
  /** The bands' own lightnesses, lightest first (L*). */
  readonly targets: readonly number[];
  /** Whether outlines, and what stands in front, lie where the sheet has them. */
  readonly onSheet: boolean;
  /** What is under the paint, L*a*b*; null where nothing is known of it. */
  readonly ground: Triple | null;
}

function bandPatchwork(photo: Photo, calibration: Calibration, frame: BoxMm): Patchwork {
  return patchwork(
    photo,
    calibration,
    frame,
    Math.max(STEP_MM, Math.max(frame.widthMm, frame.heightMm) / MOST_SAMPLES),
  );
}

/** Reads each band, and what stands in front of them where the sheet has it; `found` is where hand-drawn ones lie, if that is known. */
export function readBands(
  photo: Photo,
  calibration: Calibration,
  { frame, terms, targets, onSheet, ground }: BandsToRead,
  found?: DrawnByHand,
): BandReadings {
  const p = bandPatchwork(photo, calibration, frame);
  const { columns, rows, stepXMm: stepMm } = p.samples;
  const soft = gaussianBlur(p.y, columns, rows, Math.max(0.5, STREAK_BLUR_MM / stepMm));
  const picture = onSheet ? bandPicture(terms) : null;
  const silhouette = picture?.silhouette ? maskOf(p, frame, picture.silhouette.shape) : null;
  const byHand = !picture || terms.outlines === 'own';
  const before = silhouette && widened(silhouette, p, INSET_MM);
  const drawn = byHand ? (found ?? findDrawn(p, { frame, terms, targets }, before)) : null;
  const black = Math.min(...targets);
  /** Places without what a student put in front: darker than half way from the band to black. */
  const unhidden = (places: number[]): number[] => {
    const own = places.length > 0 ? medianLab(p, places)[0] : black;
    if (own < black + CLEARLY_LIGHTER) return places;
    const dark = lightnessToLuminance((own + black) / 2);
    const front = grown(
      Uint8Array.from(p.y, (y) => (y < dark ? 1 : 0)),
      columns,
      rows,
      2,
    );
    return places.filter((k) => front[k] === 0);
  };
  const read = (mask: Uint8Array, isBand: boolean): CellReading | null => {
    for (const inset of [INSET_MM, NARROW_INSET_MM]) {
      const all = placesOf(eroded(mask, p, inset), p);
      const places = isBand && !silhouette ? unhidden(all) : all;
      if (places.length * stepMm * stepMm >= 100 * LEAST_CM2) return readPlaces(p, soft, places, ground);
    }
    return null;
  };
  const bandOf = drawn && bandOfPlaces(p, frame, drawn.rays, drawn.plateaus);
  const masks = bandOf
    ? targets.map((_, k) => bandOf.map((b, i) => (b === k + 1 && before?.[i] !== 1 ? 1 : 0)))
    : (picture?.bands ?? []).map((band) => maskOf(p, frame, band.shape));
  return {
    bands: masks.map((mask) => read(mask, true)),
    silhouette: silhouette && read(silhouette, false),
    told: drawn?.plateaus.told ?? targets.length,
  };
}

/** Hand-drawn bands are this much narrower than the brush at the most. */
const NARROWER = 0.6;

export interface DrawnByHand {
  readonly rays: Rays;
  readonly plateaus: Plateaus;
}

/** Bands that somebody drew, over a patchwork of their frame; `hidden` is 1 where the sheet's silhouette stands before them, null without one. */
export function findDrawn(
  p: Patchwork,
  { frame, terms, targets }: Pick<BandsToRead, 'frame' | 'terms' | 'targets'>,
  hidden: Uint8Array | null,
): DrawnByHand {
  const lightness = softLightness(p);
  const set: Corner = [terms.lamp.x * frame.widthMm, terms.lamp.y * frame.heightMm];
  const rays = raysOf(terms.motif, frame, terms.motif === 'ranges' ? set : lightestNear(p, lightness, frame, set));
  // The brush is told for the sheet's frame; on a board all is as much larger.
  const scale = Math.min(frame.widthMm / BAND_FRAME.widthMm, frame.heightMm / BAND_FRAME.heightMm);
  const plateaus = findPlateaus(p, lightness, frame, rays, {
    targets,
    leastMm: NARROWER * terms.brushMm * scale,
    hidden: hidden ?? new Uint8Array(p.y.length),
    frontBelow: hidden ? -Infinity : Math.min(...targets) + SILHOUETTE,
  });
  return { rays, plateaus };
}

/** Where hand-drawn bands lie in a photograph. */
export function findDrawnIn(
  photo: Photo,
  calibration: Calibration,
  { frame, terms, targets, onSheet }: Omit<BandsToRead, 'ground'>,
): DrawnByHand {
  const p = bandPatchwork(photo, calibration, frame);
  const front = onSheet ? bandPicture(terms).silhouette : null;
  return findDrawn(p, { frame, terms, targets }, front && widened(maskOf(p, frame, front.shape), p, INSET_MM));
}

/** Their outlines, lightest first, mm on the plane, to be filled by the even-odd rule. */
export function drawnOutlines({ rays, plateaus }: DrawnByHand, frame: BoxMm): (readonly [number, number][])[][] {
  return (plateaus.endsMm[0] ?? []).map((_, k) =>
    shapeOf(rays, plateaus, k + 1, frame)
      .flat()
      .map((ring) => ring.map(([x, y]): [number, number] => [x + frame.xMm, y + frame.yMm])),
  );
}
