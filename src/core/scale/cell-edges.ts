/** What the edge of a painted cell shows: paint pooled or ridged along it, the printed line not covered. */
import { type Patchwork } from '../capture/patchwork';
import { luminanceToLightness } from '../colour/lab';
import { median } from '../fitting/quantile';
import { type BoxMm } from '../geometry/box';

/** Bands along the edge, mm inside the line: where paint pools, and where it is as in the middle. */
const RIM = { from: 1, to: 1.8 } as const;
const MIDDLE_FROM = 4;
/** Across the line: on it, and to both sides of it, mm. */
const BESIDE_MM = 0.75;
/** The line is seen where it is so much darker (L*) than what lies on both of its sides. */
const SEEN = 5;
/** A camera's sharpening draws a dark seam on the paint side of an edge: what lies inside the line must not be darker than the paint. */
const NO_SEAM = 3;
const STEP_MM = 0.25;
/** More of the line than this is seen: the paint stops short of it. */
const MOSTLY = 0.3;

export interface CellEdges {
  /** L* of the rim less that of the middle; negative is darker. */
  readonly rim: number;
  /** Share of the line's length that is seen. */
  readonly lineShows: number;
}

/** `bareAt` marks places of the cell that stayed bare, which are no rim. */
export function cellEdges(p: Patchwork, cell: BoxMm, bareAt: Uint8Array): CellEdges {
  const { columns, rows, stepXMm, stepYMm, xMm, yMm } = p.samples;
  const at = (x: number, y: number): number => {
    const [c, r] = [Math.floor((x - xMm) / stepXMm), Math.floor((y - yMm) / stepYMm)];
    return c < 0 || r < 0 || c >= columns || r >= rows ? -1 : r * columns + c;
  };
  const rims: number[][] = [[], [], [], []];
  const middle: number[] = [];
  for (let y = STEP_MM / 2; y < cell.heightMm; y += 2 * STEP_MM)
    for (let x = STEP_MM / 2; x < cell.widthMm; x += 2 * STEP_MM) {
      const sides = [x, y, cell.widthMm - x, cell.heightMm - y];
      const inside = Math.min(...sides);
      const i = at(cell.xMm + x, cell.yMm + y);
      if (i < 0 || bareAt[i] === 1) continue;
      if (inside >= MIDDLE_FROM) middle.push(p.y[i] as number);
      else if (inside >= RIM.from && inside < RIM.to && sides.filter((s) => s < RIM.to).length === 1)
        (rims[sides.indexOf(inside)] as number[]).push(p.y[i] as number);
    }
  const own = luminanceToLightness(median(middle));
  // A pool runs round the cell or along more than one side; light falling off would show on one only.
  const offs = rims.map((r) => luminanceToLightness(median(r)) - own).sort((a, b) => Math.abs(b) - Math.abs(a));
  const rim = Math.sign(offs[0] ?? 0) === Math.sign(offs[1] ?? 0) ? (offs[1] ?? 0) : 0;

  let [seen, looked] = [0, 0];
  const look = (x: number, y: number, nx: number, ny: number) => {
    const lightness = (d: number) => {
      const i = at(x + nx * d, y + ny * d);
      return i < 0 ? Number.NaN : luminanceToLightness(p.y[i] as number);
    };
    const on = Math.min(lightness(-STEP_MM), lightness(0), lightness(STEP_MM));
    const [inner, outer] = [lightness(-BESIDE_MM), lightness(BESIDE_MM)];
    if (Number.isNaN(inner) || Number.isNaN(outer)) return;
    looked++;
    if (on < Math.min(inner, outer) - SEEN && inner > own - NO_SEAM && (own > on || inner > (own + outer) / 2)) seen++;
  };
  for (let y = 1; y < cell.heightMm - 1; y += 2 * STEP_MM) {
    look(cell.xMm, cell.yMm + y, -1, 0);
    look(cell.xMm + cell.widthMm, cell.yMm + y, 1, 0);
  }
  for (let x = 1; x < cell.widthMm - 1; x += 2 * STEP_MM) {
    look(cell.xMm + x, cell.yMm, 0, -1);
    look(cell.xMm + x, cell.yMm + cell.heightMm, 0, 1);
  }
  const lineShows = looked === 0 ? 0 : seen / looked;
  // Where paint stops short of the line its edge is no rim.
  return { rim: lineShows > MOSTLY ? 0 : rim, lineShows };
}
