/** Faults between values, planted in a painting: shapes that go over from light to dark otherwise, and pairs too near or too far. */
import type { SeenPicture } from '@/devices/drawing-hand';
import type { Chance } from '@/devices/random';
import { Matrix, solve } from 'ml-matrix';
import { touching } from './small-faults';

export interface PlannedModelling {
  /** What the student has before them: the picture with some of its shapes modelled otherwise. */
  readonly lightness: Float32Array;
  /** L* of paint by which shapes are off, each too little to be told by itself. */
  readonly mistaken: ReadonlyMap<number, number>;
  /** What the change makes from one side of a shape to the other, L* of paint; of every shape. */
  readonly gradients: ReadonlyMap<number, number>;
  /** Neighbours that stand out of each other by so much more (L* of paint) than they should. */
  readonly pairs: readonly { readonly shapes: readonly [number, number]; readonly by: number }[];
}

interface Named {
  readonly shape: number;
  readonly area: number;
}

/** So often a shape is modelled otherwise. */
const OFTEN = 0.35;
const WAYS = ['flat', 'steep', 'turned', 'uneven'] as const;
/** How many times as far from the mean of its shape a place lies then; an uneven shape gets a slope of so many L* across it. */
const TIMES = { flat: 0.1, steep: 2, turned: -0.8, uneven: 1 } as const;
const SLOPE = [14, 24] as const;
/** Both shapes of a pair are off by this, L* of paint. */
const EACH = 4.3;
/** Shapes of a pair are as large as this share of the picture, and meet along so much of its width. */
const PAIR = { area: 0.015, long: 0.06 } as const;

/** What a plane through some values makes from one side to the other: how far a stretch lies apart that deviates as much. */
export function acrossOf(places: readonly number[], width: number, of: (i: number) => number): number {
  const normal = Matrix.zeros(3, 3);
  const right = Matrix.zeros(3, 1);
  const rows = places.map((i) => [1, (i % width) / width, Math.floor(i / width) / width] as const);
  rows.forEach((row, k) => {
    for (let a = 0; a < 3; a++) {
      right.set(a, 0, right.get(a, 0) + (row[a] as number) * of(places[k] as number));
      for (let b = 0; b < 3; b++) normal.set(a, b, normal.get(a, b) + (row[a] as number) * (row[b] as number));
    }
  });
  const [, gx, gy] = solve(normal, right).to1DArray() as [number, number, number];
  const values = rows.map(([, x, y]) => gx * x + gy * y);
  const mean = values.reduce((s, v) => s + v, 0) / values.length;
  return Math.sqrt((12 * values.reduce((s, v) => s + (v - mean) ** 2, 0)) / values.length);
}

/** `of` makes L* of paint of L* of the picture. */
export function plannedModelling(
  picture: SeenPicture,
  named: readonly Named[],
  of: (lightness: number) => number,
  own: Chance,
): PlannedModelling {
  const { width, shapeOf } = picture;
  const lightness = Float32Array.from(picture.lightness);
  const gradients = new Map<number, number>();
  const changed = new Set<number>();
  for (const { shape, area } of named) {
    const places = [...shapeOf.keys()].filter((i) => shapeOf[i] === shape);
    if (area < 0.25 && own.next() < OFTEN) {
      changed.add(shape);
      const way = WAYS[own.whole(0, WAYS.length - 1)] as (typeof WAYS)[number];
      const mean = places.reduce((s, i) => s + (lightness[i] as number), 0) / places.length;
      const [slope, turn] = [way === 'uneven' ? own.between(...SLOPE) : 0, own.between(0, 2 * Math.PI)];
      const along = (i: number) => (Math.cos(turn) * (i % width) + Math.sin(turn) * Math.floor(i / width)) / width;
      const [middle, reach] = stretchOf(places.map(along));
      for (const i of places) {
        const l = mean + TIMES[way] * ((lightness[i] as number) - mean) + (slope * (along(i) - middle)) / reach;
        lightness[i] = Math.min(100, Math.max(2, l));
      }
    }
    gradients.set(
      shape,
      acrossOf(places, width, (i) => of(lightness[i] as number) - of(picture.lightness[i] as number)),
    );
  }
  const mistaken = new Map<number, number>();
  const pairs: { shapes: [number, number]; by: number }[] = [];
  for (const [k, { shape: a, area }] of named.entries())
    for (const { shape: b, area: other } of named.slice(k + 1)) {
      const free = ![a, b].some((s) => changed.has(s) || mistaken.has(s));
      if (!free || pairs.length === 2 || Math.min(area, other) < PAIR.area || Math.max(area, other) > 0.25) continue;
      if (touching(picture, a, b) < PAIR.long * width || own.next() < 0.5) continue;
      const by = own.next() < 0.5 ? EACH : -EACH;
      mistaken.set(a, by).set(b, -by);
      pairs.push({ shapes: [a, b], by: 2 * by });
    }
  return { lightness, mistaken, gradients, pairs };
}

/** Middle of some numbers, and how far they reach. */
function stretchOf(values: readonly number[]): [number, number] {
  const [low, high] = [values.reduce((a, b) => Math.min(a, b)), values.reduce((a, b) => Math.max(a, b))];
  return [(low + high) / 2, Math.max(1e-6, high - low)];
}
