/**
 * The simulated student: paints the cells of a printed scale. Geometry comes from the sheet's JSON
 * file; what goes wrong is a list of faults, so that a test can take one away and keep the rest.
 */
import { labToLinearRgb, linearRgbToLab } from '@/core/colour/lab';
import type { Triple } from '@/core/colour/srgb';
import { raster } from '@/core/raster/raster';
import { chance, smoothNoise } from './random';
import type { Surface } from './reflectance';

export interface CellMm {
  readonly index: number;
  readonly xMm: number;
  readonly yMm: number;
  readonly widthMm: number;
  readonly heightMm: number;
}

export type Fault =
  | { readonly kind: 'shift'; readonly step: number; readonly lightness: number }
  | { readonly kind: 'streaks'; readonly step: number; readonly amplitude: number }
  | { readonly kind: 'bare'; readonly step: number; readonly share: number }
  | { readonly kind: 'overflow'; readonly step: number; readonly mm: number }
  | { readonly kind: 'drift'; readonly step: number; readonly a: number; readonly b: number }
  /** Paint pooled along the edge, so much lighter (darker below 0) than the middle, L*. */
  | { readonly kind: 'edge'; readonly step: number; readonly lightness: number }
  /** Paint that stops short of the line by so many mm. */
  | { readonly kind: 'short'; readonly step: number; readonly mm: number };

export interface PaintPlan {
  /** Lightness that each step was meant to have, in reading order. */
  readonly lightness: readonly number[];
  readonly faults: readonly Fault[];
}

export interface PaintedStep {
  readonly index: number;
  /** Mean over the inner 70 % of the cell, bare ground left out, in linear light. */
  readonly lightness: number;
  readonly a: number;
  readonly b: number;
  /** Share of the cell (its outermost 0.7 mm left out) that stayed bare. */
  readonly bareGround: number;
}

export interface PainterTruth {
  readonly device: 'painter';
  readonly seed: number;
  readonly faults: readonly Fault[];
  readonly steps: readonly PaintedStep[];
}

interface Brush {
  readonly lightness: number;
  readonly a: number;
  readonly b: number;
  readonly streaks: number;
  readonly bare: number;
  readonly overflow: number;
  readonly edge: number;
  readonly short: number;
  readonly noise: number;
}

function brushFor(index: number, plan: PaintPlan, seed: number): Brush {
  let [lightness, a, b, streaks, bare, overflow, edge, short] = [plan.lightness[index - 1] ?? 50, 0, 0, 0, 0, 0, 0, 0];
  for (const f of plan.faults) {
    if (f.step !== index) continue;
    if (f.kind === 'shift') lightness += f.lightness;
    if (f.kind === 'streaks') streaks = f.amplitude;
    if (f.kind === 'bare') bare = f.share;
    if (f.kind === 'overflow') overflow = f.mm;
    if (f.kind === 'drift') [a, b] = [f.a, f.b];
    if (f.kind === 'edge') edge = f.lightness;
    if (f.kind === 'short') short = f.mm;
  }
  const own = chance(seed).fork(`cell ${index}`);
  return { lightness, a, b, streaks, bare, overflow, edge, short, noise: own.whole(1, 0x7fffffff) };
}

/** How far (mm) paint reaches past the printed line at a place along one side; negative stops short. */
function reach(side: number, alongMm: number, lengthMm: number, brush: Brush): number {
  const ragged = 0.12 + 0.16 * smoothNoise(alongMm / 2.5, side * 7.3, brush.noise);
  const inBulge = side === 2 && alongMm > 0.25 * lengthMm && alongMm < 0.8 * lengthMm;
  return ragged - brush.short + (inBulge ? brush.overflow : 0);
}

/** Level of the stroke noise below which a share `bare` of places lies, found by sampling the cell. */
function bareLevel(cell: CellMm, brush: Brush): number {
  if (brush.bare <= 0) return -Infinity;
  const values: number[] = [];
  for (let y = 0; y < cell.heightMm; y += 0.25)
    for (let x = 0; x < cell.widthMm; x += 0.25) values.push(strokes(x, y, brush.noise + 17));
  values.sort((p, q) => p - q);
  return values[Math.floor(brush.bare * values.length)] ?? -Infinity;
}

/** Brush strokes run down the cell: long features along, short ones across. */
function strokes(xMm: number, yMm: number, seed: number): number {
  return 0.65 * smoothNoise(xMm / 1.3, yMm / 14, seed) + 0.35 * smoothNoise(xMm / 0.9, yMm / 5, seed ^ 0x55);
}

/** Paints a copy of the printed surface. Throws RangeError when plan and cells don't agree. */
export function paint(
  printed: Surface,
  cells: readonly CellMm[],
  plan: PaintPlan,
  seed: number,
): { surface: Surface; truth: PainterTruth } {
  if (plan.lightness.length !== cells.length)
    throw new RangeError(`The plan has ${plan.lightness.length} steps, the sheet ${cells.length} cells.`);
  const { width, height } = printed.reflectance;
  const data = Float32Array.from(printed.reflectance.data);
  const perMm = printed.dpi / 25.4;
  const steps = cells.map((cell): PaintedStep => {
    const brush = brushFor(cell.index, plan, seed);
    const level = bareLevel(cell, brush);
    const margin = 1 + brush.overflow;
    // Farther inside than this, no edge is felt: neither its raggedness nor paint pooled along it.
    const deep = 4 + brush.short;
    const sum = [0, 0, 0];
    let [read, bareCount, wholeCount] = [0, 0, 0];
    const x1 = Math.min(width - 1, Math.ceil((cell.xMm + cell.widthMm + margin) * perMm));
    const y1 = Math.min(height - 1, Math.ceil((cell.yMm + cell.heightMm + margin) * perMm));
    for (let py = Math.max(0, Math.floor((cell.yMm - margin) * perMm)); py <= y1; py++) {
      for (let px = Math.max(0, Math.floor((cell.xMm - margin) * perMm)); px <= x1; px++) {
        const x = (px + 0.5) / perMm - cell.xMm;
        const y = (py + 0.5) / perMm - cell.yMm;
        const fromEdge = Math.min(x, y, cell.widthMm - x, cell.heightMm - y);
        const inside =
          fromEdge > deep
            ? fromEdge
            : Math.min(
                x + reach(1, y, cell.heightMm, brush),
                cell.widthMm - x + reach(2, y, cell.heightMm, brush),
                y + reach(3, x, cell.widthMm, brush),
                cell.heightMm - y + reach(4, x, cell.widthMm, brush),
              );
        const cover = Math.min(1, Math.max(0, inside * perMm + 0.5));
        if (cover === 0) continue;
        const bare = brush.bare > 0 && strokes(x, y, brush.noise + 17) < level;
        if (fromEdge > 0.7) {
          wholeCount++;
          if (bare) bareCount++;
        }
        if (bare) continue;
        const stroke = strokes(x, y, brush.noise);
        const pool = brush.edge === 0 ? 0 : brush.edge / (1 + Math.exp((inside - 1.8) / 0.25));
        const lightness =
          brush.lightness +
          pool +
          (0.7 + 2.4 * brush.streaks) * stroke +
          0.3 * smoothNoise(x * 4, y * 4, brush.noise + 3);
        const rgb = labToLinearRgb([lightness, brush.a, brush.b]);
        const p = (py * width + px) * 3;
        for (let c = 0; c < 3; c++) data[p + c] = cover * Math.max(0, rgb[c] ?? 0) + (1 - cover) * (data[p + c] ?? 0);
        const inner =
          Math.abs(x - cell.widthMm / 2) < 0.35 * cell.widthMm &&
          Math.abs(y - cell.heightMm / 2) < 0.35 * cell.heightMm;
        if (inner) {
          read++;
          for (let c = 0; c < 3; c++) sum[c] = (sum[c] ?? 0) + (rgb[c] ?? 0);
        }
      }
    }
    const mean: Triple = [(sum[0] ?? 0) / read, (sum[1] ?? 0) / read, (sum[2] ?? 0) / read];
    const [lightness, a, b] = linearRgbToLab(mean);
    return { index: cell.index, lightness, a, b, bareGround: bareCount / wholeCount };
  });
  return {
    surface: { reflectance: raster('linear', width, height, 3, data), dpi: printed.dpi },
    truth: { device: 'painter', seed, faults: plan.faults, steps },
  };
}
