/** What students of the sample world make of a picture in few tones: each with a habit of their own. */
import { targetLightnesses } from '@/core/exercise/targets';
import { smoothedTones } from '@/core/tones/tidy';
import { toneShapes } from '@/core/tones/tones';
import type { NotanPlan, ToneMap } from '@/devices/notan-painter';
import { chance, smoothNoise } from '@/devices/random';

export const NOTAN_HABITS = [
  'excellent',
  'large-brush',
  'ragged',
  'flipped',
  'slivers',
  'grey-for-black',
  'same-size',
] as const;
export type NotanHabit = (typeof NOTAN_HABITS)[number];

/** The largest shape of at most a sixth of the picture in the tone next to its own. */
function flipped(map: ToneMap, tones: number): ToneMap {
  const { shapes, shapeOf } = toneShapes(map.toneOf, map.width);
  const k = shapes.findIndex((s) => s.places / map.toneOf.length < 0.16);
  const tone = shapes[k]?.tone ?? 1;
  return { ...map, toneOf: map.toneOf.map((t, i) => (shapeOf[i] === k ? (tone < tones ? tone + 1 : tone - 1) : t)) };
}

/** Thin strokes of the other end across the large shapes. */
function slivers(map: ToneMap, tones: number, seed: number): ToneMap {
  const own = chance(seed).fork('slivers');
  const strokes = Array.from({ length: 9 }, () => ({
    x: own.between(0.1, 0.85),
    y: own.between(0.1, 0.9),
    long: own.between(0.1, 0.2),
    slope: own.between(-0.5, 0.5),
  }));
  return {
    ...map,
    toneOf: map.toneOf.map((t, i) => {
      const [x, y] = [(i % map.width) / map.width, Math.floor(i / map.width) / map.height];
      const hit = strokes.some((s) => x > s.x && x < s.x + s.long && Math.abs(y - s.y - s.slope * (x - s.x)) < 0.006);
      return hit ? (t > tones / 2 ? 1 : tones) : t;
    }),
  };
}

/** Squares of one size, each in the tone that most of it has, but never two alike beside each other where it can be helped. */
function sameSize(map: ToneMap, tones: number, seed: number): ToneMap {
  const side = Math.round(map.width / 9);
  return {
    ...map,
    toneOf: map.toneOf.map((t, i) => {
      const [c, r] = [Math.floor((i % map.width) / side), Math.floor(i / map.width / side)];
      return (c + r) % 2 === 0 && smoothNoise(c * 7.3, r * 5.1, seed) > -0.2
        ? 1 + ((t - 1 + Math.ceil(tones / 2)) % tones)
        : t;
    }),
  };
}

/** What is painted of a picture, and how: by a habit. */
export function paintedBy(
  habit: NotanHabit,
  map: ToneMap,
  tones: number,
  ends: { light: number; dark: number },
  seed: number,
): { map: ToneMap; plan: NotanPlan } {
  const plan: NotanPlan = {
    lightness: targetLightnesses(tones, ends, 'light-first', 'lightness'),
    ragged: 0.0015,
    shift: { x: 0, y: 0 },
    streaks: 0.4,
    frame: null,
  };
  const { width, height } = map;
  switch (habit) {
    case 'excellent':
      return { map, plan };
    case 'large-brush':
      return { map: { ...map, toneOf: smoothedTones(map.toneOf, width, height, tones, 0.022 * width) }, plan };
    case 'ragged':
      return { map, plan: { ...plan, ragged: 0.009, streaks: 2 } };
    case 'flipped':
      return { map: flipped(map, tones), plan };
    case 'slivers':
      return { map: slivers(map, tones, seed), plan };
    case 'grey-for-black':
      return { map, plan: { ...plan, lightness: plan.lightness.map((l, k) => (k === tones - 1 ? l + 22 : l)) } };
    case 'same-size':
      return { map: sameSize(map, tones, seed), plan };
  }
}
