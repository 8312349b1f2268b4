/**
 * The bands of a banded picture, read by the geometry they were printed with: each eroded by a little, so that a
 * wavering edge does no harm, and with what students put in front of it in black split off before it is averaged.
 */
import type { Calibration } from '../capture/calibrate';
import type { BandPicture } from '../bands/band-picture';
import type { Shape } from '../bands/shapes';
import { ciede2000 } from '../colour/ciede2000';
import { lightnessToLuminance, luminanceToLightness } from '../colour/lab';
import type { Triple } from '../colour/srgb';
import { gaussianBlur } from '../raster/blur';
import type { Photo } from '../raster/photo';
import { type BoxMm } from '../sheet/paper';
import { grown, patchwork, type Patchwork } from './patchwork';
import { barePlaces, type CellReading, deviation, medianLab, STREAK_BLUR_MM, trimmedMean } from './read-cell';

const STEP_MM = 0.4;
/** Bands are read this far inside their outlines. */
const INSET_MM = 1.2;
const GROUND_DIFFERENCE = 4;
const OVER_PAPER = 6;
/** Darker than this much above the black end counts as a silhouette where a clearly lighter band is meant. */
const SILHOUETTE = 8;
const CLEARLY_LIGHTER = 15;

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

/** The mask without a rim of `mm`. */
function eroded(mask: Uint8Array, p: Patchwork, mm: number): Uint8Array {
  const { columns, rows } = p.samples;
  const outside = mask.map((v) => 1 - v);
  const wide = grown(outside, columns, rows, Math.round(mm / STEP_MM));
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

function readPlaces(p: Patchwork, soft: Float32Array, all: readonly number[], ground: Triple): CellReading {
  const centre = medianLab(p, all);
  const apart = ciede2000(centre, ground) >= GROUND_DIFFERENCE;
  const bareAt = apart ? barePlaces(p, all, ground, centre) : new Uint8Array(p.y.length);
  const painted = all.filter((i) => bareAt[i] === 0);
  const own = painted.length > 0 ? painted : all;
  const limit = lightnessToLuminance(ground[0] + OVER_PAPER);
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
}

/** Fewer places than this (1 cm²) make no band. */
const LEAST_PLACES = 100 / (STEP_MM * STEP_MM);

/** `targets` are the bands' own, lightest first; `own` is whether silhouettes were left to the student. */
export function readBands(photo: Photo, calibration: Calibration, frame: BoxMm, picture: BandPicture, targets: readonly number[], own: boolean): BandReadings {
  const p = patchwork(photo, calibration, frame, STEP_MM);
  const ground = calibration.profile.paper;
  const soft = gaussianBlur(p.y, p.samples.columns, p.samples.rows, STREAK_BLUR_MM / STEP_MM);
  const black = Math.min(...targets);
  const dark = lightnessToLuminance(black + SILHOUETTE);
  const bands = picture.bands.map((band, i) => {
    let places = placesOf(eroded(maskOf(p, frame, band.shape), p, INSET_MM), p);
    if (own && (targets[i] ?? 0) > black + CLEARLY_LIGHTER) {
      const front = grown(Uint8Array.from(p.y, (y) => (y < dark ? 1 : 0)), p.samples.columns, p.samples.rows, 2);
      places = places.filter((k) => front[k] === 0);
    }
    return places.length < LEAST_PLACES ? null : readPlaces(p, soft, places, ground);
  });
  const front = picture.silhouette ? placesOf(eroded(maskOf(p, frame, picture.silhouette.shape), p, INSET_MM), p) : [];
  return { bands, silhouette: front.length < LEAST_PLACES ? null : readPlaces(p, soft, front, ground) };
}
