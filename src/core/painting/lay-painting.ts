/** A painting laid on its reference: the whole first, then its features, then its values as far as one curve goes. */
import type { CaptureIssue } from '../capture/gate';
import type { Plane } from '../raster/between';
import { onGrid } from '../raster/on-grid';
import { maskOf } from '../raster/zone';
import type { Affine } from './affine';
import { sloped } from './align';
import { alignWhole } from './align-whole';
import { type FoundFeature, namedFeatures, unnamedFeatures } from './features';
import { localContrast } from './local-contrast';
import { misfitOf } from './misfit';
import { laidWith, type ReadParts, readParts } from './read-parts';
import { BLUR, GRID, type PaintingReference, shrunkTo } from './reference';
import { curved, type ValueCurve, valueCurve } from './value-curve';

/** What stands further from its place than this, widths, is read where it stands. */
const ASTRAY = 0.006;

export interface LaidPainting {
  readonly map: Affine;
  readonly features: readonly FoundFeature[];
  /** Those that stand elsewhere. */
  readonly astray: readonly FoundFeature[];
  readonly parts: ReadParts;
  readonly curve: ValueCurve;
  /** What was painted, on the reference's coarse places (NaN past its edge) and on its fine ones. */
  readonly coarse: Plane;
  readonly fine: Plane;
  /** Something else of the painting (a plane of its places) on the coarse ones, and on the fine ones. */
  readonly coarsely: (plane: Plane) => Plane;
  readonly finely: (plane: Plane) => Plane;
  /** What was wanted on the fine ones, with the whole of the painting taken into account. */
  readonly wanted: Plane;
}

/** What was painted on places so fine that thin lines show; where nothing was, it is as it should be. */
function laidFinely(
  { fine, coarse, open }: PaintingReference,
  painting: Plane,
  map: Affine,
  astray: readonly FoundFeature[],
  wanted: Float32Array,
): Plane {
  const { width, height } = fine;
  const features = astray.map(({ map: own, places }) => ({
    map: own,
    mask: onGrid(maskOf(places, coarse.data.length), coarse, fine),
  }));
  const { data } = laidWith(painting, map, features, width, height);
  for (let i = 0; i < data.length; i++) if (Number.isNaN(data[i]) || open?.fine[i] === 1) data[i] = wanted[i] as number;
  return { width, height, data };
}

/**
 * Lays a painting (L*, of the reference's proportion) on its reference, or says why it can't be of it. `takes` says whether a
 * camera's own curve is part of what it shows.
 */
export function layPainting(
  reference: PaintingReference,
  painting: Plane,
  takes: Parameters<typeof valueCurve>[1],
): LaidPainting | { readonly misfit: CaptureIssue } {
  const { map, likeness } = alignWhole(reference.sizes, painting);
  const misfit = misfitOf(reference.sizes.rough, painting, likeness);
  if (misfit) return { misfit };
  const { coarse, target, open } = reference;
  const twice = shrunkTo(painting, 2 * GRID, target);
  const ground = {
    reference: reference.contrast,
    painting: sloped(localContrast(shrunkTo(twice, GRID, target), BLUR)),
    values: { reference: reference.lines, painting },
    whole: map,
  };
  const features = reference.shapes
    ? namedFeatures(reference.named, ground)
    : unnamedFeatures(reference.candidates, ground);
  const astray = features.filter(({ told }) => Math.hypot(told.dx, told.dy) > ASTRAY);
  const masked = astray.map(({ map: own, places }) => ({ map: own, mask: maskOf(places, coarse.data.length) }));
  const laid = (plane: Plane) => {
    const own = laidWith(plane, map, masked, coarse.width, coarse.height);
    open?.coarse.forEach((is, i) => {
      if (is === 1) own.data[i] = NaN;
    });
    return own;
  };
  const lies = laid(twice);
  const parts = readParts(coarse, lies, reference.shapes ? reference.numbers : undefined);
  const curve = valueCurve(parts.parts, takes);
  const wanted = { ...reference.fine, data: curved(curve, reference.fine.data) };
  const finely = (plane: Plane) => laidFinely(reference, plane, map, astray, wanted.data);
  const coarsely = (plane: Plane) => laid(shrunkTo(plane, 2 * GRID, target));
  return { map, features, astray, parts, curve, coarse: lies, fine: finely(painting), wanted, coarsely, finely };
}
