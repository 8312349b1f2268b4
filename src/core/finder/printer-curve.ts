/**
 * What a printer makes of a code: the lightness of a grey over its code, from readings of a chart, and back.
 * The curve is the readings themselves, made monotone by pooling neighbours (R. E. Barlow et al., "Statistical
 * inference under order restrictions", 1972, section 1.2) and joined by straight lines in lightness.
 */
import { BadReadings, type Reading } from '../formats/readings-csv';

export interface PrinterCurve {
  /** By code; lightness never falls. */
  readonly points: readonly Reading[];
}

/** A patch may read this much (L*) darker than a darker code; more is a mistake in reading. */
const NOISE = 2;

/** Readings of several charts may be given together. Throws BadReadings where they run backwards. */
export function printerCurve(readings: readonly Reading[]): PrinterCurve {
  const byCode = new Map<number, number[]>();
  for (const { code, lightness } of readings) byCode.set(code, [...(byCode.get(code) ?? []), lightness]);
  const points = [...byCode]
    .map(([code, all]) => ({ code, lightness: all.reduce((a, b) => a + b, 0) / all.length, weight: all.length }))
    .sort((a, b) => a.code - b.code);
  let lightest = -Infinity;
  for (const { code, lightness } of points) {
    if (lightness < lightest - NOISE)
      throw new BadReadings(
        `The chart does not run from dark to light: code ${code} reads L* ${lightness.toFixed(1)}, ` +
          'darker than a darker patch. Was the chart read in another order, or turned round?',
      );
    lightest = Math.max(lightest, lightness);
  }
  const pools: { codes: number[]; sum: number; weight: number }[] = [];
  for (const p of points) {
    let pool = { codes: [p.code], sum: p.lightness * p.weight, weight: p.weight };
    for (let last = pools.at(-1); last && last.sum / last.weight > pool.sum / pool.weight; last = pools.at(-1)) {
      pools.pop();
      pool = { codes: [...last.codes, ...pool.codes], sum: last.sum + pool.sum, weight: last.weight + pool.weight };
    }
    pools.push(pool);
  }
  return { points: pools.flatMap((pool) => pool.codes.map((code) => ({ code, lightness: pool.sum / pool.weight }))) };
}

/** L* that a code is expected to print as. */
export function lightnessOfCode({ points }: PrinterCurve, code: number): number {
  const at = points.findIndex((p) => p.code >= code);
  const [a, b] = [points[Math.max(0, at - 1)], at < 0 ? points.at(-1) : points[at]];
  if (!a || !b || a.code === b.code) return (b ?? a)?.lightness ?? Number.NaN;
  return a.lightness + ((b.lightness - a.lightness) * (code - a.code)) / (b.code - a.code);
}

export interface Bar {
  readonly target: number;
  readonly code: number;
  /** L* that it is expected to print as. */
  readonly expected: number;
  /** False where the printer can't come within a half L* of the target. */
  readonly reachable: boolean;
}

const REACHED = 0.5;

/** The codes that come nearest to some lightnesses. */
export function barsFor(curve: PrinterCurve, targets: readonly number[]): Bar[] {
  return targets.map((target) => {
    let best = { code: 0, off: Infinity };
    for (let code = 0; code <= 255; code++) {
      const off = Math.abs(lightnessOfCode(curve, code) - target);
      // Among equals the higher code: bare paper costs no ink.
      if (off <= best.off) best = { code, off };
    }
    return { target, code: best.code, expected: lightnessOfCode(curve, best.code), reachable: best.off <= REACHED };
  });
}

/** Codes of the chart to print: closer together in the dark, where a code changes more than the eye would think. */
export const CHART_CODES: readonly number[] = [
  0, 6, 12, 18, 25, 32, 40, 48, 57, 66, 76, 87, 98, 110, 122, 135, 148, 162, 176, 190, 205, 220, 236, 255,
];
