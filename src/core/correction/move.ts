/** A thing set elsewhere, wider, taller or turned; where it stood is filled from what lies about it. */
import type { BoxOfPlaces } from '../raster/box-of-places';
import { fillIn } from '../raster/filled-in';
import { cutOut, weightAt } from './cut';
import type { Change } from './layer';
import type { Grid, Weights } from './mask';

type Move = Extract<Change, { kind: 'move' }>;

/** So much of the picture about a hole says what it is filled with, share of its longer side. */
const AROUND = 0.5;

/** Where a thing of a box comes to lie: turns and sizes are about its middle. Places in, places out. */
export function moved({ dx, dy, wider, taller, turn }: Move, [x0, y0, x1, y1]: BoxOfPlaces, grid: Grid) {
  const [cx, cy] = [(x0 + x1) / 2, (y0 + y1) / 2];
  const [cos, sin] = [Math.cos((turn * Math.PI) / 180), Math.sin((turn * Math.PI) / 180)];
  const [tx, ty] = [cx + dx * grid.width, cy + dy * grid.height];
  return {
    to: (x: number, y: number): [number, number] => {
      const [u, v] = [(x - cx) * wider, (y - cy) * taller];
      return [tx + cos * u - sin * v, ty + sin * u + cos * v];
    },
    from: (x: number, y: number): [number, number] => {
      const [u, v] = [cos * (x - tx) + sin * (y - ty), cos * (y - ty) - sin * (x - tx)];
      return [cx + u / wider, cy + v / taller];
    },
  };
}

/** The box that a thing fills after it was moved, cut to the picture; null where none of it is left inside. */
export function movedBox(move: Move, box: BoxOfPlaces, grid: Grid): BoxOfPlaces | null {
  const [x0, y0, x1, y1] = box;
  const { to } = moved(move, box, grid);
  const corners = [to(x0, y0), to(x1, y0), to(x1, y1), to(x0, y1)];
  const [xs, ys] = [corners.map(([x]) => x), corners.map(([, y]) => y)];
  const [left, top] = [Math.max(0, Math.floor(Math.min(...xs))), Math.max(0, Math.floor(Math.min(...ys)))];
  const [right, bottom] = [
    Math.min(grid.width, Math.ceil(Math.max(...xs))),
    Math.min(grid.height, Math.ceil(Math.max(...ys))),
  ];
  return right > left && bottom > top ? [left, top, right, bottom] : null;
}

/** Fills where a thing stood from what lies about it. Changes `picture`. */
function takeAway(picture: Float32Array, grid: Grid, weights: Weights): void {
  const pad = Math.ceil(AROUND * Math.max(weights.wide, weights.tall)) + 2;
  const { left, top, wide, tall, data } = cutOut(picture, grid, weights.box, pad);
  const known = Float32Array.from({ length: wide * tall }, (_, i) =>
    weightAt(weights, left + (i % wide), top + Math.floor(i / wide)) > 0 ? 0 : 1,
  );
  fillIn(data, known, wide, tall);
  for (let y = 0; y < tall; y++)
    picture.set(data.subarray(3 * y * wide, 3 * (y + 1) * wide), 3 * ((top + y) * grid.width + left));
}

/** Moves, widens or turns what a mask covers. Changes `picture`. */
export function moveThing(picture: Float32Array, grid: Grid, weights: Weights, move: Move): void {
  const was = cutOut(picture, grid, weights.box, 1);
  takeAway(picture, grid, weights);
  const target = movedBox(move, weights.box, grid);
  if (!target) return;
  const { from } = moved(move, weights.box, grid);
  const [x0, y0, x1, y1] = target;
  const colour = new Float32Array(3);
  for (let y = y0; y < y1; y++)
    for (let x = x0; x < x1; x++) {
      const [u, v] = from(x + 0.5, y + 0.5);
      const [left, top] = [Math.floor(u - 0.5), Math.floor(v - 0.5)];
      const [across, down] = [u - 0.5 - left, v - 0.5 - top];
      let weight = 0;
      colour.fill(0);
      for (let k = 0; k < 4; k++) {
        const [column, row] = [left + (k & 1), top + (k >> 1)];
        const share = (k & 1 ? across : 1 - across) * (k >> 1 ? down : 1 - down);
        const own = share * weightAt(weights, column, row);
        if (own === 0) continue;
        weight += own;
        const at = 3 * ((row - was.top) * was.wide + column - was.left);
        for (let c = 0; c < 3; c++) colour[c] = (colour[c] as number) + own * (was.data[at + c] as number);
      }
      if (weight === 0) continue;
      const p = 3 * (y * grid.width + x);
      for (let c = 0; c < 3; c++) picture[p + c] = (1 - weight) * (picture[p + c] as number) + (colour[c] as number);
    }
}
