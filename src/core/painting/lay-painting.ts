/** A painting laid on its reference: the whole first, then its features, then its values as far as one curve goes. */
import type { CaptureIssue } from '../capture/gate';
import type { Plane } from '../raster/between';
import { filledFrom } from '../raster/filled-from';
import { onGrid } from '../raster/on-grid';
import { maskOf } from '../raster/zone';
import type { Affine } from './registration/affine';
import { sloped } from './registration/align';
import { alignWhole } from './registration/align-whole';
import { type Composition, compositionOf } from './features/composition';
import type { FoundFeature } from './features/found-feature';
import { namedFeatures } from './features/named-features';
import { standsElsewhere } from './features/standing';
import { unnamedFeatures } from './features/unnamed-features';
import { localContrast } from './registration/local-contrast';
import { misfitOf } from './registration/misfit';
import { laidOn, laidWith, type ReadParts, readParts } from './values/read-parts';
import { BLUR, GRID, type PaintingReference, shrunkTo } from './reference';
import { curved, leftBeside, type LeftBeside, type Takes, type ValueCurve, valueCurve } from './values/value-curve';

export interface LaidObjects {
  /** L*, as it should be on the places where `unseen` is 1: nothing was painted there, or nothing is judged. */
  readonly fine: Plane;
  readonly unseen: Uint8Array;
}

export interface LaidPainting {
  readonly map: Affine;
  readonly features: readonly FoundFeature[];
  /** Those that stand elsewhere. */
  readonly astray: readonly FoundFeature[];
  readonly parts: ReadParts;
  readonly curve: ValueCurve;
  /** What the curve leaves of a part. */
  readonly left: LeftBeside;
  /** What was painted, on the reference's coarse places (NaN past its edge) and on its fine ones. */
  readonly coarse: Plane;
  readonly fine: Plane;
  /**
   * The same with objects where they stand, but none of their parts, worked out when it is asked for: an edge between two parts
   * shows where it was painted.
   */
  readonly objects: () => LaidObjects;
  /** Something else of the painting (a plane of its places) on the coarse ones, and on the fine ones. */
  readonly coarsely: (plane: Plane) => Plane;
  readonly finely: (plane: Plane) => Plane;
  /** What was wanted on the fine ones, with the whole of the painting taken into account. */
  readonly wanted: Plane;
}

/** What was painted on places so fine that thin lines show; NaN past its edge, and where nothing is judged. */
function laidFinely(
  { fine, coarse, open }: PaintingReference,
  painting: Plane,
  map: Affine,
  astray: readonly FoundFeature[],
): Plane {
  const { width, height } = fine;
  const features = astray.map(({ map: own, places }) => ({
    map: own,
    mask: onGrid(maskOf(places, coarse.data.length), coarse, fine),
  }));
  const { data } = laidWith(painting, map, features, width, height);
  open?.fine.forEach((is, i) => {
    if (is === 1) data[i] = NaN;
  });
  return { width, height, data };
}

/**
 * Lays a painting (L*, of the reference's proportion) on its reference, or says why it can't be of it. `takes` says whether a
 * camera's own curve is part of what it shows.
 */
export function layPainting(
  reference: PaintingReference,
  painting: Plane,
  takes: Takes,
): LaidPainting | { readonly misfit: CaptureIssue } {
  const aligned = alignWhole(reference.sizes, painting);
  const { map } = aligned;
  const misfit = misfitOf(reference.sizes, painting, aligned);
  if (misfit) return { misfit };
  const { coarse, target, open } = reference;
  const twice = shrunkTo(painting, 2 * GRID, target);
  let composed: Composition | null = null;
  const ground = {
    reference: reference.contrast,
    painting: sloped(localContrast(shrunkTo(twice, GRID, target), BLUR)),
    values: { reference: reference.lines, painting },
    whole: map,
    composition: () =>
      (composed ??= compositionOf(coarse, reference.numbers, laidOn(twice, map, coarse.width, coarse.height))),
  };
  const features = [...namedFeatures(reference.named, ground), ...unnamedFeatures(reference.candidates, ground)];
  const astray = features.filter(({ told }) => standsElsewhere(told));
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
  const left = leftBeside(curve, takes);
  const wanted = { ...reference.fine, data: curved(curve, reference.fine.data) };
  const laidAll = (plane: Plane) => laidFinely(reference, plane, map, astray);
  const fine = laidAll(painting);
  const objects = (): LaidObjects => {
    const entire = astray.filter((feature) => feature.entire);
    const own = entire.length === astray.length ? fine : laidFinely(reference, painting, map, entire);
    return { fine: filledFrom(own, wanted), unseen: Uint8Array.from(own.data, (l) => (Number.isNaN(l) ? 1 : 0)) };
  };
  const coarsely = (plane: Plane) => laid(shrunkTo(plane, 2 * GRID, target));
  return {
    ...{ map, features, astray, parts, curve, left, wanted, objects, coarsely },
    coarse: lies,
    fine: filledFrom(fine, wanted),
    finely: (plane) => filledFrom(laidAll(plane), wanted),
  };
}
