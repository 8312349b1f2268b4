/** From a framed picture and its preparation to its tones, its light and shadow, and its shapes. */
import type { NotanSchool } from '../exercise/terms';
import { lightnessHistogram } from '../raster/lightness-histogram';
import type { Raster } from '../raster/raster';
import type { TonePlane } from '../tones/compare-tones';
import { dissolved } from '../tones/dissolve';
import { otsuThresholds } from '../tones/thresholds';
import { smoothedTones } from '../tones/tidy';
import { tonesBy } from '../tones/tones';
import { luminanceOf, softLightness } from './luminance-plane';
import { type Cut, cutKey, type Preparation } from './preparation';
import { LEAST_SIDE_PX, NothingToPrepare } from './prepare';
import { checkSides, corrected, litAbove, proposedLine } from './shadow-map';
import { cutShapes, namesIn, type ShapeCut } from './shape-cut';

/** Tones made calm: small shapes dissolved, outlines smoothed. Places of tone 0 stay so. */
export function calmTones(
  toneOf: Uint8Array,
  width: number,
  height: number,
  tones: number,
  { dissolve, smooth }: Cut,
): Uint8Array {
  const large = dissolved(toneOf, width, Math.round(dissolve * toneOf.length));
  const sigma = (smooth / 100) * Math.max(width, height);
  return sigma < 0.4 ? large : smoothedTones(large, width, height, tones, sigma);
}

export interface PreparedTones extends TonePlane {
  /** Rising, L*: of the whole picture, or of its light alone. */
  readonly thresholds: readonly number[];
}

/** By threshold: everything darker than a line is of a darker tone. Throws TooFewTones where the picture has fewer. */
export function tonesByThreshold(
  lightness: Raster<'lightness', 1>,
  tones: number,
  preparation: Preparation,
): PreparedTones {
  const { width, height } = lightness;
  const given = preparation.cuts[cutKey('threshold', tones)];
  const thresholds = given?.length === tones - 1 ? given : otsuThresholds(lightnessHistogram(lightness.data), tones);
  return {
    width,
    height,
    thresholds,
    toneOf: calmTones(tonesBy(lightness, thresholds), width, height, tones, preparation),
  };
}

/** What the light reaches (1) and what not (0): proposed, made calm, corrected by hand. Throws TooFewTones on a flat picture. */
export function litOf(
  lightness: Raster<'lightness', 1>,
  shapeOf: ArrayLike<number>,
  preparation: Preparation,
): Uint8Array {
  const { width, height } = lightness;
  const raw = litAbove(lightness, preparation.light.line ?? proposedLine(lightness));
  const calm = calmTones(
    raw.map((l) => 2 - l),
    width,
    height,
    2,
    preparation,
  ).map((t) => 2 - t);
  return corrected(calm, width, height, shapeOf, preparation.light.edits);
}

/** By light and shadow: the shadow is the darkest tone whatever lies in it, further tones are told within the light. Throws OneSided and TooFewTones. */
export function tonesByLight(
  lightness: Raster<'lightness', 1>,
  lit: Uint8Array,
  tones: number,
  preparation: Preparation,
): PreparedTones {
  checkSides(lit);
  const { width, height } = lightness;
  if (tones === 2) return { width, height, thresholds: [], toneOf: lit.map((l) => 2 - l) };
  const given = preparation.cuts[cutKey('light-and-shadow', tones)];
  const inLight = lightness.data.filter((_, i) => lit[i] === 1);
  const thresholds = given?.length === tones - 2 ? given : otsuThresholds(lightnessHistogram(inLight), tones - 1);
  const calm = calmTones(tonesBy(lightness, thresholds), width, height, tones - 1, preparation);
  return { width, height, thresholds, toneOf: calm.map((t, i) => (lit[i] === 1 ? t : tones)) };
}

/** The cut that shapes begin with: the tones as they stand now. */
export function beginShapes(
  lightness: Raster<'lightness', 1>,
  tones: number,
  preparation: Preparation,
): NonNullable<Preparation['shapes']['cut']> {
  const { squint, dissolve, smooth } = preparation;
  return { squint, dissolve, smooth, thresholds: [...tonesByThreshold(lightness, tones, preparation).thresholds] };
}

/** Shapes of a picture that nobody has cut yet. */
const UNCUT_TONES = 4;

/** Tones by threshold, fewer where the picture has fewer. */
function asManyAs(lightness: Raster<'lightness', 1>, tones: number, preparation: Preparation): Uint8Array {
  const has = lightnessHistogram(lightness.data).reduce((s, n) => s + (n > 0 ? 1 : 0), 0);
  return has < 2
    ? new Uint8Array(lightness.data.length).fill(1)
    : tonesByThreshold(lightness, Math.min(tones, has), preparation).toneOf;
}

/** The shapes of a picture: by the cut that they were begun with, or by a few tones as long as nobody has begun. */
export function shapesOf(luminance: Raster<'linear', 1>, preparation: Preparation): ShapeCut {
  const { width, height } = luminance;
  const { cut, edits } = preparation.shapes;
  if (!cut) {
    const soft = softLightness(luminance, preparation.squint);
    return cutShapes(asManyAs(soft, UNCUT_TONES, { ...preparation, cuts: {} }), width, height, []);
  }
  const soft = softLightness(luminance, cut.squint);
  return cutShapes(
    calmTones(tonesBy(soft, cut.thresholds), width, height, cut.thresholds.length + 1, cut),
    width,
    height,
    edits,
  );
}

export interface Wanted {
  readonly tones: number;
  readonly school: NotanSchool;
}

export interface ReferencePlane extends PreparedTones {
  /** Number of the shape that each place is of, and the names of those that have one. */
  readonly shapes: ShapeCut;
  readonly names: ReadonlyMap<number, NonNullable<Preparation['shapes']['named'][number]>>;
}

/**
 * What an exercise measures against: the picture in so many tones, in one school or the other; 0 where the ground stands or
 * a shape is left out. Throws NothingToPrepare, TooFewTones and OneSided with what to do.
 */
export function referencePlane(
  rgb: Raster<'linear', 3>,
  preparation: Preparation,
  { tones, school }: Wanted,
): ReferencePlane {
  if (Math.min(rgb.width, rgb.height) < LEAST_SIDE_PX)
    throw new NothingToPrepare(
      `What is taken of this picture is ${rgb.width} x ${rgb.height} places: take more of it.`,
    );
  const luminance = luminanceOf(rgb);
  const lightness = softLightness(luminance, preparation.squint);
  const shapes = shapesOf(luminance, preparation);
  const names = namesIn(shapes, preparation.shapes.named);
  const plane =
    school === 'threshold'
      ? tonesByThreshold(lightness, tones, preparation)
      : tonesByLight(lightness, litOf(lightness, shapes.shapeOf, preparation), tones, preparation);
  const open = new Set([...names].filter(([, s]) => s.standing !== 'painted').map(([k]) => k));
  return {
    ...plane,
    toneOf:
      open.size === 0 ? plane.toneOf : plane.toneOf.map((t, i) => (open.has(shapes.shapeOf[i] as number) ? 0 : t)),
    shapes,
    names,
  };
}
