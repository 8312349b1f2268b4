/** Samples of a photograph on a regular grid of the sheet, taken from its own pixels. */
import type { BoxMm } from '../geometry/box';
import type { Photo } from '../raster/photo';
import { type Plane, toPhoto } from './plane';

export interface SheetSamples {
  readonly columns: number;
  readonly rows: number;
  readonly stepXMm: number;
  readonly stepYMm: number;
  readonly xMm: number;
  readonly yMm: number;
  /** Bilinear codes (0 to 255), three a place; NaN outside the photograph. */
  readonly codes: Float32Array;
  /** Whether any of the four pixels met the top code in some channel. */
  readonly clipped: Uint8Array;
}

const TOP_CODE = 254;

/**
 * Places on the plane are worked out this often (mm); between them it is straight to a hundredth of a pixel, whatever
 * the tilt that a photograph may have.
 */
const STRAIGHT_MM = 2;

/** Samples a box about every `stepMm`, at the centres of equal parts of it. */
export function sampleBox(photo: Photo, plane: Plane, box: BoxMm, stepMm: number): SheetSamples {
  const columns = Math.max(1, Math.round(box.widthMm / stepMm));
  const rows = Math.max(1, Math.round(box.heightMm / stepMm));
  const samples: SheetSamples = {
    columns,
    rows,
    stepXMm: box.widthMm / columns,
    stepYMm: box.heightMm / rows,
    xMm: box.xMm,
    yMm: box.yMm,
    codes: new Float32Array(columns * rows * 3),
    clipped: new Uint8Array(columns * rows),
  };
  fill(samples, photo, plane);
  return samples;
}

function fill(
  { columns, rows, stepXMm, stepYMm, xMm, yMm, codes, clipped }: SheetSamples,
  photo: Photo,
  plane: Plane,
): void {
  const { width, height, origin, alongX, alongY } = photo;
  const data = photo.stored.data;
  const stride = Math.max(1, Math.floor(STRAIGHT_MM / stepXMm));
  for (let r = 0; r < rows; r++) {
    const y = yMm + (r + 0.5) * stepYMm;
    let next = toPhoto(plane, xMm + 0.5 * stepXMm, y);
    let fromX = 0;
    let fromY = 0;
    let byX = 0;
    let byY = 0;
    for (let c = 0; c < columns; c++) {
      const k = c % stride;
      if (k === 0) {
        const here = next;
        next = toPhoto(plane, xMm + (c + stride + 0.5) * stepXMm, y);
        fromX = here.x - 0.5;
        fromY = here.y - 0.5;
        byX = (next.x - here.x) / stride;
        byY = (next.y - here.y) / stride;
      }
      const px = fromX + k * byX;
      const py = fromY + k * byY;
      const x0 = Math.floor(px);
      const y0 = Math.floor(py);
      const o = (r * columns + c) * 3;
      if (x0 < 0 || y0 < 0 || x0 + 1 >= width || y0 + 1 >= height) {
        codes[o] = codes[o + 1] = codes[o + 2] = Number.NaN;
        continue;
      }
      const fx = px - x0;
      const fy = py - y0;
      const a = (1 - fx) * (1 - fy);
      const b = fx * (1 - fy);
      const d = (1 - fx) * fy;
      const e = fx * fy;
      const p = origin + y0 * alongY + x0 * alongX;
      const q = p + alongY;
      let top = 0;
      for (let channel = 0; channel < 3; channel++) {
        const v0 = data[p + channel] as number;
        const v1 = data[p + alongX + channel] as number;
        const v2 = data[q + channel] as number;
        const v3 = data[q + alongX + channel] as number;
        codes[o + channel] = a * v0 + b * v1 + d * v2 + e * v3;
        if (v0 >= TOP_CODE || v1 >= TOP_CODE || v2 >= TOP_CODE || v3 >= TOP_CODE) top = 1;
      }
      clipped[r * columns + c] = top;
    }
  }
}

/** Mean code per channel and the share of clipped places; null when any place is outside. */
export function meanCodes(s: SheetSamples): { codes: [number, number, number]; clipped: number } | null {
  const n = s.columns * s.rows;
  const sum: [number, number, number] = [0, 0, 0];
  let top = 0;
  for (let i = 0; i < n; i++) {
    for (let k = 0; k < 3; k++) sum[k] = (sum[k] as number) + (s.codes[i * 3 + k] as number);
    top += s.clipped[i] as number;
  }
  if (Number.isNaN(sum[0])) return null;
  return { codes: [sum[0] / n, sum[1] / n, sum[2] / n], clipped: top / n };
}
