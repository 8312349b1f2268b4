/** Where a layer reaches, as weights: 0 outside what was drawn, 1 well inside, fading over its rim. */
import type { BoxOfPlaces } from '../raster/box-of-places';
import { brushed } from '../raster/brush';
import { squaredDistances } from '../raster/distance';
import { filledOutline } from '../raster/filled-outline';
import type { Mask } from './layer';

export interface Grid {
  readonly width: number;
  readonly height: number;
}

/** Weights over a box of the picture, row by row. */
export interface Weights {
  readonly box: BoxOfPlaces;
  readonly wide: number;
  readonly tall: number;
  readonly data: Float32Array;
}

/** A rim may take so much of the way to the middle: there is always some of a shape that gets all of the change. */
const RIM_AT_MOST = 0.6;

function drawn({ edits }: Pick<Mask, 'edits'>, { width, height }: Grid): Uint8Array {
  const plane = new Uint8Array(width * height);
  for (const edit of edits) {
    const value = edit.adds ? 1 : 0;
    if (edit.kind === 'outline') filledOutline(plane, width, height, edit.points, value);
    else brushed(plane, width, height, edit, value);
  }
  return plane;
}

function boxOf(plane: Uint8Array, { width, height }: Grid): BoxOfPlaces | null {
  let [x0, y0, x1, y1] = [width, height, 0, 0];
  for (let y = 0; y < height; y++) {
    const row = plane.subarray(y * width, (y + 1) * width);
    const first = row.indexOf(1);
    if (first < 0) continue;
    y0 = Math.min(y0, y);
    y1 = y + 1;
    x0 = Math.min(x0, first);
    x1 = Math.max(x1, row.lastIndexOf(1) + 1);
  }
  return x1 === 0 ? null : [x0, y0, x1, y1];
}

/** From 0 to 1 and level at both ends. */
const eased = (t: number) => (t >= 1 ? 1 : t * t * (3 - 2 * t));

/** The weights of a mask on a picture's places; null where it covers nothing. */
export function weightsOf(mask: Mask, grid: Grid): Weights | null {
  const plane = drawn(mask, grid);
  const box = boxOf(plane, grid);
  if (!box) return null;
  const [x0, y0, x1, y1] = box;
  const [wide, tall] = [x1 - x0, y1 - y0];
  const data = new Float32Array(wide * tall);
  for (let y = 0; y < tall; y++) {
    const from = (y0 + y) * grid.width + x0;
    data.set(plane.subarray(from, from + wide), y * wide);
  }
  const rim = mask.soft * grid.width;
  if (rim >= 0.5) fadeRim(data, plane, grid, box, rim);
  return { box, wide, tall, data };
}

/** Fades weights towards what is outside, so far in. The picture's own edge is no rim: a shape goes on beyond it. */
function fadeRim(data: Float32Array, plane: Uint8Array, grid: Grid, box: BoxOfPlaces, rim: number): void {
  const [left, top] = [Math.max(0, box[0] - 1), Math.max(0, box[1] - 1)];
  const [wide, tall] = [Math.min(grid.width, box[2] + 1) - left, Math.min(grid.height, box[3] + 1) - top];
  const outside = new Uint8Array(wide * tall);
  for (let y = 0; y < tall; y++)
    for (let x = 0; x < wide; x++) outside[y * wide + x] = plane[(top + y) * grid.width + left + x] === 1 ? 0 : 1;
  const far = squaredDistances(outside, wide, tall);
  const deepest = Math.sqrt(far.reduce((most, d) => Math.max(most, Number.isFinite(d) ? d : 0), 0));
  if (deepest === 0) return;
  const over = Math.min(rim, RIM_AT_MOST * deepest);
  const own = box[2] - box[0];
  for (let k = 0; k < data.length; k++) {
    if (data[k] === 0) continue;
    const [x, y] = [box[0] - left + (k % own), box[1] - top + Math.floor(k / own)];
    data[k] = eased((Math.sqrt(far[y * wide + x] as number) - 0.5) / over);
  }
}
