/** A painting cut into the few large shapes that somebody would repaint, each as one. */
import { median, quantiles } from '../../fitting/quantile';
import type { ShareBox } from '../../geometry/share-box';
import type { Plane } from '../../raster/between';
import { boxOfPlaces, shareBox } from '../../raster/box-of-places';
import { outlineOf } from '../../raster/outline';
import { forEachTouching } from '../../raster/touching';
import { maskOf, placesOfNumbers } from '../../raster/zone';
import { shrunkTo } from '../reference';
import { segments } from '../values/segments';

/** Across, in places: what is smaller than one is no shape to repaint. */
const ACROSS = 160;
/** An eye that looks at a narrow painting long enough sees its shapes all the same: its range is taken to be so wide, L*, but no grain. */
const SEEN_RANGE = 60;
const MOST_DRAWN_OUT = 4;
/** How much more than within itself a part may differ from a neighbour, L* times places: rough paint is one shape. */
const ROUGH = 90;
/** The least share that is worth repainting by itself; more where there would be more shapes than this. */
const LEAST_SHARE = 0.015;
const MOST_SHAPES = 14;
/** Shapes that touch at fewer places than this meet at a corner. */
const LEAST_BORDER = 5;

export interface LargeShape {
  /** The middle of what lies in it, L*. */
  readonly lightness: number;
  /** All that lies in it, L*. */
  readonly values: Float32Array;
  /** Share of the picture. */
  readonly area: number;
  readonly box: ShareBox;
  /** Rings round it, shares of the picture. */
  readonly rings: readonly (readonly [number, number][])[];
}

export interface LargeShapes {
  readonly shapes: readonly LargeShape[];
  /** Which of them meet, each pair once, by their places in the list. */
  readonly meetings: readonly (readonly [number, number])[];
}

/** Pairs of parts that share a border. */
function meetingsOf(partOf: Int32Array, grid: Plane): [number, number][] {
  const borders = new Map<string, { pair: [number, number]; places: number }>();
  forEachTouching(grid, (i, j) => {
    const [a, b] = [partOf[i] as number, partOf[j] as number];
    if (a === b) return;
    const pair: [number, number] = a < b ? [a, b] : [b, a];
    const own = borders.get(pair.join(' ')) ?? { pair, places: 0 };
    own.places++;
    borders.set(pair.join(' '), own);
  });
  return [...borders.values()].filter(({ places }) => places >= LEAST_BORDER).map(({ pair }) => pair);
}

/** The large shapes of a painting (L*). Every place is in one of them. */
export function largeShapes(painting: Plane): LargeShapes {
  // As coarse as this its strokes are fused; softened further, every edge would be a shape of its own.
  const grid = shrunkTo(painting, ACROSS, painting);
  const [dark, light] = quantiles(grid.data, [0.05, 0.95]);
  const weight = Math.min(MOST_DRAWN_OUT, Math.max(1, SEEN_RANGE / Math.max(1, light - dark)));
  const cut = (least: number) =>
    segments({ planes: [{ plane: grid, weight }], scale: ROUGH, least: Math.ceil(least * grid.data.length) });
  let least = LEAST_SHARE;
  let found = cut(least);
  while (found.count > MOST_SHAPES) found = cut((least *= 1.25));
  const shapes = placesOfNumbers(found.partOf, 0, found.count).flatMap((places): LargeShape[] => {
    const around = boxOfPlaces(places, grid.width);
    if (!around) return [];
    const box = shareBox(around, grid);
    const mask = maskOf(places, grid.data.length);
    const values = Float32Array.from(places, (i) => grid.data[i] as number);
    return [
      {
        lightness: median(values),
        ...{ values, box },
        area: places.length / grid.data.length,
        rings: outlineOf((i) => mask[i] === 1, box, grid),
      },
    ];
  });
  return { shapes, meetings: meetingsOf(found.partOf, grid) };
}
