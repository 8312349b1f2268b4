/** How light the plateaus of a picture are, and how many of them can be told apart. */
import { piecewiseFits } from '../fitting/piecewise';
import { median } from '../fitting/quantile';
import { pathAlong, type Ray, type Ways } from './plateau-paths';

/** Sum of squares (L*²) by which one more plateau must explain a ray better, were it seen on half of them. */
const WORTH_A_PLATEAU = 30;
const ON_A_SHARE = 0.5;
/** So many rays are asked what the plateaus are; each answer is tried on every fourth ray. */
const ASKED = 24;
const TRIED_ON = 4;
/** Rounds in which plateaus are told by all that lies on them. */
const ROUNDS = 2;

/** The middle of what lies on each plateau; what none lies on stays. */
function retold(rays: readonly Ray[], ways: Ways): number[] {
  const on: number[][] = ways.levels.map(() => []);
  for (const ray of rays) {
    let t = 0;
    pathAlong(ray, ways).ends.forEach((end, k) => {
      for (; t < Math.min(end, ray.lightness.length); t++)
        if (ray.blind[t] === 0) on[k]?.push(ray.lightness[t] as number);
    });
  }
  return ways.levels.map((l, k) => ((on[k] as number[]).length > 0 ? median(on[k] as number[]) : l));
}

/**
 * How light the plateaus are: as many as are wanted, or as can be told apart. What single rays say that cross all of
 * them is tried on the others, and what explains the whole picture best is taken.
 */
export function levelsOf(rays: readonly Ray[], wanted: number, least: number, frontBelow: number): number[] {
  const fitted = rays.map(({ lightness, blind }) => {
    const profile = lightness.filter((_, t) => blind[t] === 0);
    return { profile, fits: piecewiseFits(profile, wanted, least) };
  });
  const some = rays.filter((_, i) => i % TRIED_ON === 0);
  const told = (m: number): { levels: number[]; cost: number } => {
    const most = fitted
      .map(({ profile, fits }) => ({
        profile,
        fits,
        gain: fits.cost(m) < Infinity ? (m === 1 ? 0 : fits.cost(m - 1)) - fits.cost(m) : -Infinity,
      }))
      .filter((f) => f.gain > -Infinity && (m === 1 || f.gain > WORTH_A_PLATEAU))
      .sort((a, b) => b.gain - a.gain);
    const asked = most.filter((_, i) => i % Math.max(1, Math.ceil(most.length / ASKED)) === 0);
    let best: { levels: number[]; cost: number } = { levels: [], cost: Infinity };
    for (const { profile, fits } of asked) {
      const cuts = fits.cuts(m);
      const levels = Array.from({ length: m }, (_, k) => median(profile.subarray(cuts[k], cuts[k + 1])));
      const cost = some.reduce((sum, ray) => sum + pathAlong(ray, { levels, least, frontBelow }).cost, 0);
      if (cost < best.cost) best = { levels, cost };
    }
    return best;
  };
  let here = told(wanted);
  for (let m = wanted; m > 1; m--) {
    const fewer = told(m - 1);
    if (fewer.cost - here.cost >= WORTH_A_PLATEAU * ON_A_SHARE * some.length) break;
    here = fewer;
  }
  let { levels } = here;
  for (let i = 0; i < ROUNDS; i++) levels = retold(rays, { levels, least, frontBelow });
  return levels;
}
