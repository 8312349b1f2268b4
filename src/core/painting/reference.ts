/** What is compared of a reference, worked out once however many paintings are of it. */
import type { Ends } from '../exercise/scale';
import { quantiles } from '../fitting/quantile';
import { type Plane, shrunk } from '../raster/between';
import { onGrid } from '../raster/on-grid';
import { someOf } from '../raster/some-of';
import type { OpenCv } from '../vision/opencv';
import type { Raster } from '../raster/raster';
import { type Lined, softened } from './lines/accents';
import { type SizedReference, sizedReference } from './registration/align-whole';
import { channelsOf, type ColourPlanes } from './colour/colour-planes';
import { type FormShape, formShapes } from './form/form-plane';
import { candidatesOf } from './features/unnamed-features';
import { localContrast } from './registration/local-contrast';
import type { ShapePlane } from './shapes/named-shapes';
import { type LookedAt, lookedAt } from './values/whole-picture';
import { isDarkAllRound } from './registration/without-frame';

export interface SeenReference {
  /** L* as the picture has it, and as paint is to have it. */
  readonly lightness: Plane;
  readonly target: Plane;
  /** Shapes that have a name, on the same places. */
  readonly shapes: ShapePlane | null;
  /** The picture's own colours on the same places; left out where nobody asks for them. */
  readonly colours?: Raster<'linear', 3>;
  /** 1 where the ground may stand or nothing is painted yet: nothing there is judged. Left out where all of it is. */
  readonly open?: Uint8Array;
}

export interface PaintingReference extends Omit<SeenReference, 'colours' | 'open'> {
  /** What is not judged, on the coarse and on the fine places; null where all of it is. */
  readonly open: { readonly coarse: Uint8Array; readonly fine: Uint8Array } | null;
  /** Colours on the coarse grid; null where they were left out. */
  readonly colours: ColourPlanes | null;
  /** The target squinted at, and how it stands out of its surroundings there. */
  readonly coarse: Plane;
  readonly contrast: Plane;
  /** Which named shape each place of the coarse grid is of, the shapes there, and parts without a name that could be a feature. */
  readonly numbers: Uint8Array;
  readonly named: readonly FormShape[];
  readonly candidates: readonly Int32Array[];
  /** The target so fine that thin lines show, and as soft as a painting is read. */
  readonly fine: Plane;
  readonly lines: Lined;
  readonly sizes: SizedReference;
  /** Whether no dark frame could be told from it. */
  readonly darkAllRound: boolean;
  readonly percentiles: Percentiles;
  /** The target as a whole. */
  readonly looked: LookedAt;
  /** All but the lightest and the darkest hundredth of the target lie between these. */
  readonly ends: Ends;
}

/** Lightness below which 5, 50 and 95 percent lie. */
export interface Percentiles {
  readonly p5: number;
  readonly p50: number;
  readonly p95: number;
}

/** Values are compared on a grid of so many places across: squinted at, brush strokes fuse. */
export const GRID = 240;
/** Thin lines and edges are compared on one of so many places across. */
const FINE = 640;
/** Places by which drawing is softened before it is compared. */
export const BLUR = 0.8;

/** A plane on a grid of so many places across, of another plane's proportion. */
export const shrunkTo = (plane: Plane, across: number, like: Plane): Plane =>
  shrunk(plane, Math.min(plane.width, across), Math.min(plane.height, Math.round((across * like.height) / like.width)));

/** Percentiles of a plane of L*. */
export function percentilesOf(plane: Plane): Percentiles {
  const [p5, p50, p95] = quantiles(someOf(plane), [0.05, 0.5, 0.95]);
  return { p5, p50, p95 };
}

/** Lightness of the lightest and the darkest hundredth of a plane. */
export function endsOf(plane: Plane): Ends {
  const [dark, light] = quantiles(someOf(plane), [0.01, 0.99]);
  return { light, dark };
}

/** Works out what is compared of a reference; planes of one size, at least 32 places each way. */
export function paintingReference(cv: OpenCv, seen: SeenReference): PaintingReference {
  const { target, lightness, shapes, colours, open } = seen;
  const coarse = shrunkTo(target, GRID, target);
  const fine = shrunkTo(target, FINE, target);
  const ends = endsOf(target);
  const numbers = shapes ? onGrid(shapes.shapeOf, shapes, coarse) : new Uint8Array(coarse.data.length);
  return {
    ...{ lightness, target, shapes, coarse },
    open: open ? { coarse: onGrid(open, target, coarse), fine: onGrid(open, target, fine) } : null,
    colours: colours ? channelsOf(colours, (plane) => shrunkTo(plane, GRID, target)) : null,
    contrast: localContrast(coarse, BLUR),
    numbers,
    named: formShapes(numbers, coarse, shapes?.shapes ?? []),
    candidates: candidatesOf(coarse, numbers),
    fine,
    lines: softened(cv, fine),
    sizes: sizedReference(target),
    darkAllRound: isDarkAllRound(coarse),
    percentiles: percentilesOf(lightness),
    ends,
    looked: lookedAt(coarse, ends),
  };
}
