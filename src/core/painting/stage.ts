/** Paintings that are built up in stages: each stage has its own question, and before the last one only large errors matter. */
import { z } from 'zod';
import { quantiles } from '../fitting/quantile';
import { type ShareBox, shareBoxSchema } from '../geometry/share-box';
import type { Plane } from '../raster/between';
import { wideBlur } from '../raster/blur';
import { boxOfPlaces, shareBox } from '../raster/box-of-places';
import { lightnessHistogram } from '../raster/lightness-histogram';
import { placesOfNumbers } from '../raster/zone';
import { otsuThresholds } from '../tones/thresholds';
import type { ReadParts } from './values/read-parts';

/**
 * Is the stain even? Are two masses apart? Are the greys in order? Did glazing keep the values? What is an old painting like
 * before it is touched, and what became of it? Does each panel of a series keep the values of the first?
 */
export const STAGE_QUESTIONS = [
  'even',
  'two-masses',
  'order',
  'kept',
  'as-it-was',
  'rescued',
  'first-panel',
  'like-the-first',
] as const;
export type StageQuestion = (typeof STAGE_QUESTIONS)[number];

/** What is asked of a hand-in of a stage. */
export interface StageAsked {
  readonly asks: StageQuestion;
  /** Whether it is the last one, and the painting is judged as a whole. */
  readonly last: boolean;
}

export const stageResultSchema = z.object({
  asks: z.enum(STAGE_QUESTIONS),
  last: z.boolean(),
  /** How far light and dark patches of a stain lie apart, L*. */
  unevenness: z.number().nullable(),
  /** How far all but a twentieth of what should be light lies above all but a twentieth of what should be dark, L*. */
  apart: z.number().nullable(),
  /** Parts of which the one that should be lighter is darker, the plainest first. */
  swapped: z.array(z.object({ lighter: shareBoxSchema, darker: shareBoxSchema, by: z.number() })),
});
export type StageResult = z.infer<typeof stageResultSchema>;

export const stageResult = ({ asks, last }: StageAsked, more: Partial<StageResult> = {}): StageResult => ({
  asks,
  last,
  unevenness: null,
  apart: null,
  swapped: [],
  ...more,
});

/** Patches of a stain are so large, share of the width: the brush's own texture is wanted. */
const PATCH = 0.03;

/** How far light and dark patches of a plane of L* lie apart, all but a twentieth at both ends. */
export function unevennessOf({ width, height, data }: Plane): number {
  const [dark, light] = quantiles(wideBlur(data, width, height, PATCH * width), [0.05, 0.95]);
  return light - dark;
}

/**
 * Of what should be light and of what should be dark: how far apart they were painted, L*. What lies within a `step` of the line
 * may go to either. Planes on the same places; NaN is skipped.
 * Throws TooFewTones of a target that is one grey.
 */
export function massesApart(target: Plane, painted: Plane, step: number): number {
  const [line = 50] = otsuThresholds(lightnessHistogram(target.data), 2);
  const side = (light: boolean) =>
    painted.data.filter((l, i) => {
      const off = (target.data[i] as number) - line;
      return !Number.isNaN(l) && Math.abs(off) > step && off > 0 === light;
    });
  const [light] = quantiles(side(true), [0.05]);
  const [dark] = quantiles(side(false), [0.95]);
  return light - dark;
}

/** Parts that should differ by a step and were painted the other way round by this share of one are swapped. */
const PLAINLY = 0.35;
/** Smaller parts (share of the picture) are not held against each other. */
const LEAST_PART = 0.006;
const MOST_PAIRS = 3;

/** Pairs of parts whose order is not that of the reference, the plainest first. */
export function swappedParts({ cut, parts }: ReadParts, step: number): StageResult['swapped'] {
  const able = parts.filter((p) => p.area >= LEAST_PART);
  const places = placesOfNumbers(cut.partOf, 0, cut.count);
  const boxOf = (id: number): ShareBox | null => {
    const around = boxOfPlaces(places[id] as Int32Array, cut.width);
    return around && shareBox(around, cut);
  };
  return able
    .flatMap((a) => able.map((b) => ({ a, b, by: b.painted - a.painted })))
    .filter(({ a, b, by }) => a.target - b.target >= step && by >= PLAINLY * step)
    .sort((one, other) => other.by - one.by)
    .slice(0, MOST_PAIRS)
    .flatMap(({ a, b, by }) => {
      const [lighter, darker] = [boxOf(a.id), boxOf(b.id)];
      return lighter && darker ? [{ lighter, darker, by }] : [];
    });
}
