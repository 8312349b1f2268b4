/** Two states of one painting: what was painted over, and what that did to its values. */
import type { Ends } from '../../exercise/scale';
import { quantiles } from '../../fitting/quantile';
import type { Plane } from '../../raster/between';
import { gaussianBlur } from '../../raster/blur';
import { forEachTouching } from '../../raster/touching';
import { alignWhole, sizedReference } from '../registration/align-whole';
import { laidOn, readParts } from '../values/read-parts';
import { GRID, shrunkTo } from '../reference';
import type { PaintingResult } from '../result';

/** So far (places) both are softened before they are held against each other: a hand's breadth on the camera is no paint. */
const SOFT = 1.5;
/** What differs by this, L*, was painted over: photographs of one thing differ by a third of it. */
const REPAINTED = 4;

type Rescue = NonNullable<PaintingResult['rescue']>;

/** Values of a state where the other is known too. */
const known = (own: Float32Array, other: Float32Array): Float32Array => own.filter((_, i) => !Number.isNaN(other[i]));

function rangeOf(values: Float32Array): number {
  const [dark, light] = quantiles(values, [0.05, 0.95]);
  return light - dark;
}

/** Share that lies in the middle third between the ends. */
function crowdingOf(values: Float32Array, { light, dark }: Ends): number {
  const third = (light - dark) / 3;
  return values.filter((l) => l > dark + third && l < light - third).length / Math.max(1, values.length);
}

/** Mean difference between parts that meet, by how long they do, in each of the two states. */
function contrasts(before: Plane, after: Plane): { readonly before: number; readonly after: number } {
  const { cut, parts } = readParts(before, after);
  const { partOf } = cut;
  const read = new Map(parts.map((p) => [p.id, p]));
  let [n, was, is] = [0, 0, 0];
  forEachTouching(cut, (i, j) => {
    const [a, b] = [read.get(partOf[i] as number), read.get(partOf[j] as number)];
    if (!a || !b || a === b) return;
    n++;
    was += Math.abs(a.target - b.target);
    is += Math.abs(a.painted - b.painted);
  });
  return { before: was / Math.max(1, n), after: is / Math.max(1, n) };
}

/** A later state on the places of an earlier one, to be looked at beside it. */
export function laidOnEarlier(earlier: Plane, later: Plane): Plane {
  const { map } = alignWhole(sizedReference(earlier), shrunkTo(later, 2 * GRID, earlier));
  return laidOn(later, map, earlier.width, earlier.height, 'edge');
}

/** What the later state has more of than the earlier one. Both are planes of L*; the earlier one says the proportion. */
export function rescueOf(earlier: Plane, later: Plane, ends: Ends): Rescue {
  const before = shrunkTo(earlier, GRID, earlier);
  const { map } = alignWhole(sizedReference(earlier), shrunkTo(later, 2 * GRID, earlier));
  const after = laidOn(shrunkTo(later, 2 * GRID, earlier), map, before.width, before.height);
  const filled = after.data.map((l, i) => (Number.isNaN(l) ? (before.data[i] as number) : l));
  const [was, is] = [before.data, filled].map((data) => gaussianBlur(data, before.width, before.height, SOFT)) as [
    Float32Array,
    Float32Array,
  ];
  const over = is.reduce((n, l, i) => n + (Math.abs(l - (was[i] as number)) > REPAINTED ? 1 : 0), 0);
  const [old, now] = [known(before.data, after.data), known(after.data, after.data)];
  const contrast = contrasts(before, after);
  return {
    repainted: over / is.length,
    range: rangeOf(now) - rangeOf(old),
    crowding: crowdingOf(now, ends) - crowdingOf(old, ends),
    contrast: contrast.after - contrast.before,
  };
}
