/** What shapes a painting of few tones is made of: how many large, middle and small ones, what is too thin, how ragged the edges are. */
import { squaredDistances } from '../raster/distance';
import { outlinesOf, smoothedTones } from './tidy';
import { toneShapes } from './tones';

/** From this share of the picture on a shape is large, and middling. */
const LARGE = 0.1;
const MIDDLE = 0.02;
/** Smaller ones are specks, and counted nowhere. */
const LEAST = 0.001;
/** From this share on, and so many, sizes are compared. */
const COUNTED = 0.003;
const ENOUGH = 12;
/** A shape nowhere wider than this share of the longer side is a sliver. */
const SLIVER = 0.018;
/** An edge this far (share of the longer side) from where a calm hand would have it is ragged. */
const RAGGED = 0.004;
const CALM = 0.012;

export interface ShapeFacts {
  readonly large: number;
  readonly middle: number;
  readonly small: number;
  /** Share of the picture that its largest shape has. */
  readonly largest: number;
  /** How much the sizes of shapes differ: standard deviation of their widths over the mean, the largest shape left out; null for fewer than twelve. */
  readonly variety: number | null;
  readonly slivers: number;
  /** Share of all edges that are ragged. */
  readonly ragged: number;
}

/** What shapes a plane of `count` tones is made of; sizes are shares of the picture. */
export function shapeFacts(toneOf: Uint8Array, width: number, height: number, count: number): ShapeFacts {
  const long = Math.max(width, height);
  const edges = outlinesOf(toneOf, width);
  const inside = squaredDistances(edges, width, height);
  const { shapes, shapeOf } = toneShapes(toneOf, width);
  const widest = new Float64Array(shapes.length);
  shapeOf.forEach((s, i) => (widest[s] = Math.max(widest[s] as number, inside[i] as number)));
  const told = shapes
    .map((s, k) => ({ share: s.places / toneOf.length, thin: 2 * Math.sqrt(widest[k] as number) < SLIVER * long }))
    .filter((s) => s.share >= LEAST);
  const fromCalm = squaredDistances(
    outlinesOf(smoothedTones(toneOf, width, height, count, CALM * long), width),
    width,
    height,
  );
  let [all, ragged] = [0, 0];
  edges.forEach((e, i) => {
    if (e === 0) return;
    all++;
    if ((fromCalm[i] as number) > (RAGGED * long) ** 2) ragged++;
  });
  const widths = told
    .slice(1)
    .filter((s) => s.share >= COUNTED)
    .map((s) => Math.sqrt(s.share));
  const mean = widths.reduce((a, b) => a + b, 0) / Math.max(1, widths.length);
  return {
    variety:
      widths.length < ENOUGH ? null : Math.sqrt(widths.reduce((s, w) => s + (w - mean) ** 2, 0) / widths.length) / mean,
    large: told.filter((s) => s.share >= LARGE).length,
    middle: told.filter((s) => s.share >= MIDDLE && s.share < LARGE).length,
    small: told.filter((s) => s.share < MIDDLE && !s.thin).length,
    largest: told[0]?.share ?? 0,
    slivers: told.filter((s) => s.thin).length,
    ragged: all === 0 ? 0 : ragged / all,
  };
}
