/** Fitting twenty mixes, alone and as the worker does it. */
import { fitPaints } from '@/core/mixing/fit';
import { chance } from '@/devices/random';
import { paintedMix, painterPaints } from '@/devices/spectral-paint';
import { fitTask } from '@/workers/tasks/fit';
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
    return {
      parts: { 'titanium-white': 1 - black, 'ivory-black': black },
      lightness: paintedMix(tubes, black)[0] + own.gauss(),
      a: null,
      b: null,
      wet: false,
      noise: 1,
    };
  });
  const paints = ['titanium-white', 'ivory-black'] as const;
  const time = (work: () => unknown) =>
    Array.from({ length: ROUNDS }, () => {
      const start = performance.now();
      work();
      return performance.now() - start;
    });
  console.log('\nTwenty mixes: ms');
  row('', 'first', 'median');
  const fit = time(() => fitPaints(paints, mixes, 'gouache'));
  row('fitting', fit[0] ?? Number.NaN, quantile(fit, 0.5));
  const whole = time(() => fitTask({ task: 'fit', paints, mixes, medium: 'gouache', start: {} }));
  row('and what to ask for next', whole[0] ?? Number.NaN, quantile(whole, 0.5));
  return Math.max(...fit) <= LIMIT_MS && quantile(whole, 0.5) <= LIMIT_MS;
}
