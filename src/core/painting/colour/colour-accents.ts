/**
 * Places of plain colour in a painting of greys or of one hue. Its greys run from dark to light along some way of their own (raw
 * umber and white are warm in the middle, black and white are cool there); what stands far off that way is another colour.
 */
import { Matrix, solve } from 'ml-matrix';
import { boxOfPlaces, shareBox } from '../../raster/box-of-places';
import { piecesOf } from '../../raster/pieces';
import { type ColourPlanes, labPlanes } from './colour-planes';
import type { PaintingResult } from '../result';

export interface AccentAsked {
  /** Whether a touch of colour may stand in a painting of one hue; not looked for unless said. */
  readonly accent?: 'allowed' | 'told';
}

type AccentsOfColour = NonNullable<PaintingResult['accentsOfColour']>;
/** Its area is a share of the picture, and how far it is off the painting's own greys in a* and b*. */
export type ColourAccent = AccentsOfColour['places'][number];

/** A place further from the painting's own greys than this, in a* and b*, is of another colour: paints of one mix stay within half of it. */
const STANDS_OUT = 16;
/** Smaller ones (share of the picture) are a brush that was not clean. */
const LEAST = 0.0008;
/** Where more of it than this is of other colours it is a painting in colours, and has no accent. */
const MOST = 0.2;
/** Every so many of the places say how the greys run, and one so far off, in a* and b*, says little. */
const [EVERY, SOFT, ROUNDS] = [7, 4, 12] as const;

interface Labs {
  readonly l: Float32Array;
  readonly a: Float32Array;
  readonly b: Float32Array;
}

/** A bent line over L* through the a*, or the b*, of most places: constant, slope and bend about the middle of the scale. */
type Way = readonly [number, number, number];

const bases = (l: number): Way => {
  const x = l / 50 - 1;
  return [1, x, x * x];
};
const onWay = (way: Way, l: number): number => bases(l).reduce((s, v, k) => s + v * (way[k] as number), 0);

/** How the painting's own greys run in a* and b*: least squares, weighed anew so that other colours count less and less. */
function ownWay({ l, a, b }: Labs): readonly [Way, Way] {
  const some: number[] = [];
  for (let i = 0; i < l.length; i += EVERY) if (!Number.isNaN(l[i]) && !Number.isNaN(a[i])) some.push(i);
  let ways: readonly [Way, Way] = [
    [0, 0, 0],
    [0, 0, 0],
  ];
  let weights = some.map(() => 1);
  for (let round = 0; round < ROUNDS && some.length > 0; round++) {
    const normal = Matrix.eye(3).mul(1e-3);
    const right = Matrix.zeros(3, 2);
    some.forEach((i, k) => {
      const own = bases(l[i] as number);
      const weight = weights[k] as number;
      own.forEach((v, row) => {
        own.forEach((u, column) => normal.set(row, column, normal.get(row, column) + weight * v * u));
        right.set(row, 0, right.get(row, 0) + weight * v * (a[i] as number));
        right.set(row, 1, right.get(row, 1) + weight * v * (b[i] as number));
      });
    });
    const fit = solve(normal, right);
    ways = [fit.getColumn(0), fit.getColumn(1)] as unknown as readonly [Way, Way];
    weights = some.map((i) => 1 / (1 + (offOf({ l, a, b }, ways, i) / SOFT) ** 2) ** 2);
  }
  return ways;
}

const offOf = ({ l, a, b }: Labs, [wayA, wayB]: readonly [Way, Way], i: number): number =>
  Math.hypot((a[i] as number) - onWay(wayA, l[i] as number), (b[i] as number) - onWay(wayB, l[i] as number));

/** Places of another colour than the rest, the largest first; none in a painting in many colours. */
export function colourAccents(colours: ColourPlanes): ColourAccent[] {
  const [{ width, height }] = colours;
  const [l, a, b] = labPlanes(colours);
  const labs = { l: l.data, a: a.data, b: b.data };
  const ways = ownWay(labs);
  const off = labs.l.map((_, i) => offOf(labs, ways, i));
  const stands = Uint8Array.from(off, (v) => (v > STANDS_OUT ? 1 : 0));
  if (stands.reduce((s, v) => s + v, 0) > MOST * stands.length) return [];
  return piecesOf(stands, width)
    .filter((places) => places.length >= LEAST * stands.length)
    .sort((p, q) => q.length - p.length)
    .map((places) => ({
      box: shareBox(boxOfPlaces(places, width) ?? [0, 0, 1, 1], { width, height }),
      area: places.length / stands.length,
      off: places.reduce((s, i) => s + (off[i] as number), 0) / places.length,
    }));
}

/** The same as it is told; null where it is not asked for, and where nothing is known of colours. */
export const accentsOfColour = (colours: ColourPlanes | null, asked: AccentAsked['accent']): AccentsOfColour | null =>
  colours && asked ? { allowed: asked === 'allowed', places: colourAccents(colours) } : null;
