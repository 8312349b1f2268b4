/** Fitting twenty mixes, as the worker does it. */
import { chance } from '@/devices/random';
import { paintedMix, painterPaints } from '@/devices/spectral-paint';
import { fitTask } from '@/workers/fit-task';
import { quantile, row } from './tally';

export const LIMIT_MS = 200;
const MIXES = 20;
const ROUNDS = 9;

/** Returns whether a fit with what to ask for next stays within its limit. */
export function benchFit(seed: number): boolean {
  const tubes = painterPaints(seed);
  const own = chance(seed).fork('fit');
  const mixes = Array.from({ length: MIXES }, () => {
    const black = own.between(0.001, 0.9) ** 2;
    return { parts: { 'titanium-white': 1 - black, 'ivory-black': black }, lightness: paintedMix(tubes, black)[0] + own.gauss(), a: null, b: null, wet: false, noise: 1 };
  });
  const times = Array.from({ length: ROUNDS }, () => {
    const start = performance.now();
    fitTask({ task: 'fit', paints: ['titanium-white', 'ivory-black'], mixes, medium: 'gouache', start: {} });
    return performance.now() - start;
  });
  console.log('\nFitting twenty mixes, and what to ask for next: ms');
  row('', 'first', 'median');
  row('', times[0] ?? Number.NaN, quantile(times, 0.5));
  return quantile(times, 0.5) <= LIMIT_MS;
}
