/** Thin lines that carry a drawing: put into a picture, and painted by the simulated student with a small brush, last of all. */
import type { Chance } from './random';

export interface Accent {
  /** Points of the line, in widths of the picture about its middle. */
  readonly line: readonly (readonly [x: number, y: number])[];
  /** In widths of the picture. */
  readonly wide: number;
  /** L* by which it differs from what it lies on: below 0 for a dark one. */
  readonly by: number;
}

/** A gently bent line of a length, in widths, that begins at a place. */
export function bentLine(own: Chance, x: number, y: number, long: number): Accent['line'] {
  const [way, bend, pieces] = [own.between(0, 2 * Math.PI), own.between(-1.2, 1.2), 8];
  const line: [number, number][] = [[x, y]];
  for (let k = 0; k < pieces; k++) {
    const [px, py] = line.at(-1) as [number, number];
    const turn = way + (bend * k) / pieces;
    line.push([px + (long / pieces) * Math.cos(turn), py + (long / pieces) * Math.sin(turn)]);
  }
  return line;
}

/** How far a place is from a line, in its units. */
function farFrom(line: Accent['line'], x: number, y: number): number {
  let least = Infinity;
  for (let k = 1; k < line.length; k++) {
    const [[ax, ay], [bx, by]] = [line[k - 1], line[k]] as [readonly [number, number], readonly [number, number]];
    const [dx, dy] = [bx - ax, by - ay];
    const t = Math.min(1, Math.max(0, ((x - ax) * dx + (y - ay) * dy) / Math.max(1e-12, dx * dx + dy * dy)));
    least = Math.min(least, Math.hypot(x - ax - t * dx, y - ay - t * dy));
  }
  return least;
}

/** The accent ready to be asked how much of a place it covers, 0 to 1; `apart` is how far places are apart, in widths. */
export function coverOf({ line, wide }: Accent, apart: number): (x: number, y: number) => number {
  const reach = wide / 2 + apart;
  const of = (axis: 0 | 1) => line.map((p) => p[axis]);
  const [x0, x1] = [Math.min(...of(0)) - reach, Math.max(...of(0)) + reach];
  const [y0, y1] = [Math.min(...of(1)) - reach, Math.max(...of(1)) + reach];
  return (x, y) =>
    x < x0 || x > x1 || y < y0 || y > y1 ? 0 : Math.min(1, Math.max(0, (wide / 2 - farFrom(line, x, y)) / apart + 0.5));
}

/** A picture's lightness with accents in it. */
export function withAccents(
  lightness: Float32Array,
  width: number,
  height: number,
  accents: readonly Accent[],
): Float32Array {
  const out = Float32Array.from(lightness);
  for (const accent of accents) {
    const cover = coverOf(accent, 1 / width);
    for (let i = 0; i < out.length; i++)
      out[i] =
        (out[i] as number) +
        accent.by * cover(((i % width) + 0.5) / width - 0.5, (Math.floor(i / width) + 0.5 - height / 2) / width);
  }
  return out;
}
