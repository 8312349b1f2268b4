/** What a simulated student can get wrong, by name, for the command line and the sample world. */
import type { Fault, PaintPlan } from './painter';
import { chance } from './random';

export const PAINT_CONDITIONS = [
  'fine',
  'too-close',
  'reversed',
  'weak-black',
  'streaks',
  'bare',
  'overflow',
  'dark-middle',
  'random',
] as const;
export type PaintCondition = (typeof PAINT_CONDITIONS)[number];

const evenly = (steps: number, light: number, dark: number): number[] =>
  Array.from({ length: steps }, (_, i) => light + ((dark - light) * i) / (steps - 1));

/** A plan for a scale from light to dark; small errors of hand and eye come from the seed. */
export function planFor(
  condition: PaintCondition,
  steps: number,
  seed: number,
  ends = { light: 95.5, dark: 24 },
): PaintPlan {
  const own = chance(seed).fork('plan');
  const gap = (ends.light - ends.dark) / (steps - 1);
  const middle = Math.ceil(steps / 2);
  const wobble = evenly(steps, ends.light, ends.dark).map((l, i) =>
    i === 0 || i === steps - 1 ? l : l + 0.08 * gap * own.gauss(),
  );
  const faults: Record<PaintCondition, () => Fault[]> = {
    fine: () => [],
    'too-close': () => [{ kind: 'shift', step: middle, lightness: 0.75 * gap }],
    reversed: () => [
      { kind: 'shift', step: middle + 1, lightness: 0.7 * gap },
      { kind: 'shift', step: middle, lightness: -0.7 * gap },
    ],
    'weak-black': () => [{ kind: 'shift', step: steps, lightness: Math.max(8, 0.8 * gap) }],
    streaks: () => [{ kind: 'streaks', step: middle, amplitude: 4 }],
    bare: () => [{ kind: 'bare', step: middle + 1, share: 0.09 }],
    overflow: () => [{ kind: 'overflow', step: steps - 1, mm: 1.5 }],
    'dark-middle': () =>
      [middle - 1, middle, middle + 1].map((step) => ({ kind: 'shift' as const, step, lightness: -0.85 * gap })),
    random: () => [],
  };
  const lightness =
    condition === 'random'
      ? Array.from({ length: steps }, (_, i) => (i === 0 ? 96 : i === steps - 1 ? 19 : own.between(18, 97)))
      : wobble;
  return { lightness, faults: faults[condition]() };
}
