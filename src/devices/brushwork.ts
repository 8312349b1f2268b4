/**
 * The simulated student's brushwork: large brushes first, smaller ones where the painting still differs from what was meant,
 * strokes along the shapes; what is smaller than the smallest brush is lost. After A. Hertzmann, "Painterly rendering with
 * curved brush strokes of multiple sizes", SIGGRAPH 1998, with straight strokes.
 */
import type { Chance } from './random';

export interface Brushes {
  /** Width of the smallest brush, share of the canvas's width. */
  readonly smallest: number;
  /** How far the mixed greys of single strokes stray, L*. */
  readonly unsure: number;
}

/** Mean of a plane over squares round each place, `reach` places each way. */
function softened(plane: Float32Array, width: number, height: number, reach: number): Float32Array {
  const lines = (from: Float32Array, count: number, length: number, next: number, apart: number) => {
    const to = new Float32Array(from.length);
    for (let line = 0; line < count; line++) {
      const at = (k: number) => from[line * apart + Math.min(length - 1, Math.max(0, k)) * next] as number;
      let sum = 0;
      for (let k = -reach; k <= reach; k++) sum += at(k);
      for (let k = 0; k < length; k++) {
        to[line * apart + k * next] = sum / (2 * reach + 1);
        sum += at(k + reach + 1) - at(k - reach);
      }
    }
    return to;
  };
  return reach < 1 ? plane : lines(lines(plane, height, width, 1, width), width, height, width, 1);
}

/** What came to stand on a canvas, row by row. */
export interface Brushed {
  /** L*. */
  readonly painted: Float32Array;
  /** The place that each place's grey was mixed for: that of the stroke that lies uppermost; -1 where the ground shows. */
  readonly mixedFor: Int32Array;
}

/** A stroke with round ends from one place to another, in a grey mixed for one place. */
function stroke(
  { painted, mixedFor }: Brushed,
  width: number,
  height: number,
  [ax, ay, bx, by]: readonly [number, number, number, number],
  radius: number,
  value: number,
  place: number,
): void {
  const [dx, dy] = [bx - ax, by - ay];
  const long = Math.max(1e-6, dx * dx + dy * dy);
  const [x0, x1] = [
    Math.max(0, Math.floor(Math.min(ax, bx) - radius)),
    Math.min(width - 1, Math.ceil(Math.max(ax, bx) + radius)),
  ];
  const [y0, y1] = [
    Math.max(0, Math.floor(Math.min(ay, by) - radius)),
    Math.min(height - 1, Math.ceil(Math.max(ay, by) + radius)),
  ];
  for (let y = y0; y <= y1; y++)
    for (let x = x0; x <= x1; x++) {
      const t = Math.min(1, Math.max(0, ((x - ax) * dx + (y - ay) * dy) / long));
      if ((x - ax - t * dx) ** 2 + (y - ay - t * dy) ** 2 > radius * radius) continue;
      painted[y * width + x] = value;
      mixedFor[y * width + x] = place;
    }
}

/** A cell is painted over where it differs by this on average, L*. */
const DIFFERS = 1.5;

/** Paints what is meant (L*) on a canvas of that size that begins as `ground`. */
export function paintStrokes(
  meant: Float32Array,
  width: number,
  height: number,
  ground: number,
  { smallest, unsure }: Brushes,
  own: Chance,
): Brushed {
  const canvas = {
    painted: new Float32Array(meant.length).fill(ground),
    mixedFor: new Int32Array(meant.length).fill(-1),
  };
  const last = Math.max(1, (smallest * width) / 2);
  for (let radius = Math.max(last, 0.035 * width); ; radius = Math.max(last, radius / 2)) {
    const aim = softened(meant, width, height, Math.round(radius / 2));
    const apart = Math.max(1, Math.round(radius));
    const cells: [number, number][] = [];
    for (let y = 0; y < height; y += apart) for (let x = 0; x < width; x += apart) cells.push([x, y]);
    // In no order: neighbours lie over each other either way.
    for (let k = cells.length - 1; k > 0; k--) {
      const other = own.whole(0, k);
      [cells[k], cells[other]] = [cells[other] as [number, number], cells[k] as [number, number]];
    }
    for (const [cx, cy] of cells) {
      let [off, n, worst, wx, wy] = [0, 0, -1, cx, cy];
      for (let y = cy; y < Math.min(height, cy + apart); y++)
        for (let x = cx; x < Math.min(width, cx + apart); x++) {
          const own = Math.abs((canvas.painted[y * width + x] as number) - (aim[y * width + x] as number));
          off += own;
          n++;
          if (own > worst) [worst, wx, wy] = [own, x, y];
        }
      if (off / n < DIFFERS) continue;
      const at = (x: number, y: number) =>
        aim[Math.min(height - 1, Math.max(0, y)) * width + Math.min(width - 1, Math.max(0, x))] as number;
      const reach = Math.max(1, Math.round(radius / 2));
      const [gx, gy] = [at(wx + reach, wy) - at(wx - reach, wy), at(wx, wy + reach) - at(wx, wy - reach)];
      const steep = Math.hypot(gx, gy);
      const turn = steep < 0.5 ? own.between(0, Math.PI) : Math.atan2(gx, -gy);
      const value = at(wx, wy);
      // On to both sides for as long as the stroke's own grey is still what is wanted there.
      const end = (way: 1 | -1) => {
        let s = 0;
        while (s < 4 * radius) {
          const next = s + Math.max(1, radius / 3);
          const [x, y] = [Math.round(wx + way * next * Math.cos(turn)), Math.round(wy + way * next * Math.sin(turn))];
          if (x < 0 || y < 0 || x >= width || y >= height || Math.abs(at(x, y) - value) > 3) break;
          s = next;
        }
        return [wx + way * s * Math.cos(turn), wy + way * s * Math.sin(turn)] as const;
      };
      const [[ax, ay], [bx, by]] = [end(-1), end(1)];
      stroke(canvas, width, height, [ax, ay, bx, by], radius, value + unsure * own.gauss(), wy * width + wx);
    }
    if (radius <= last) return canvas;
  }
}
