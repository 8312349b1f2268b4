/** Small faults planted in a painting: thin lines that carry its drawing, edges between light and shadow, quiet shapes made busy. */
import type { Spread, SeenPicture } from '@/devices/drawing-hand';
import { type Accent, bentLine } from '@/devices/accents';
import type { Chance } from '@/devices/random';

type Box = { readonly x: number; readonly y: number; readonly width: number; readonly height: number };

export const FATES = ['held', 'missing', 'weak', 'thin', 'wide', 'extra'] as const;
export type Fate = (typeof FATES)[number];

export interface PlantedAccent {
  readonly fate: Fate;
  readonly light: boolean;
  readonly box: Box;
}

export interface PlannedAccents {
  /** As the reference has them, and as they are painted. */
  readonly wanted: readonly Accent[];
  readonly painted: readonly Accent[];
  readonly planted: readonly PlantedAccent[];
}

/** Lines so near to each other, widths, would be one. */
const APART = 0.05;
/** Nothing lies nearer to the frame, widths. */
const INSIDE = 0.06;
const OF_FATE: Record<Fate, { wide: number; by: number } | null> = {
  held: { wide: 1, by: 1 },
  missing: null,
  weak: { wide: 1, by: 0.4 },
  thin: { wide: 0.45, by: 1 },
  wide: { wide: 2.1, by: 1 },
  extra: { wide: 1, by: 1 },
};

function boxRound({ line, wide }: Accent, tall: number): Box {
  const of = (axis: 0 | 1) => line.map((p) => p[axis]);
  const [x0, x1] = [Math.min(...of(0)) - wide / 2 + 0.5, Math.max(...of(0)) + wide / 2 + 0.5];
  const [y0, y1] = [Math.min(...of(1)) - wide / 2 + tall / 2, Math.max(...of(1)) + wide / 2 + tall / 2];
  return { x: x0, y: y0 / tall, width: x1 - x0, height: (y1 - y0) / tall };
}

/** Lines for a picture, some of them to be painted otherwise than they are; `size` times as strong as is usual. */
export function plannedAccents({ width, height, lightness }: SeenPicture, own: Chance, size = 1): PlannedAccents {
  const tall = height / width;
  const lines: Accent[] = [];
  for (let tries = 0; tries < 200 && lines.length < 8; tries++) {
    const line = bentLine(
      own,
      own.between(-0.5 + INSIDE, 0.5 - INSIDE),
      own.between(-tall / 2 + INSIDE, tall / 2 - INSIDE),
      own.between(0.06, 0.2),
    );
    const inside = line.every(([x, y]) => Math.abs(x) < 0.5 - INSIDE && Math.abs(y) < tall / 2 - INSIDE);
    const clear = lines.every((other) =>
      other.line.every(([x, y]) => line.every(([u, v]) => Math.hypot(u - x, v - y) > APART)),
    );
    if (!inside || !clear) continue;
    const levels = line.map(([x, y]) => {
      const [c, r] = [Math.floor((x + 0.5) * width), Math.floor(y * width + height / 2)];
      return lightness[r * width + c] as number;
    });
    const dark = Math.min(...levels) > 45;
    // A line that is lost on part of its way would be two.
    if (!dark && Math.max(...levels) > 65) continue;
    lines.push({ line, wide: own.between(0.004, 0.008), by: size * (dark ? -1 : 1) * own.between(20, 32) });
  }
  const fates = lines.map((_, k): Fate => {
    if (k === lines.length - 1 && k > 2) return 'extra';
    return own.next() < 0.5 ? 'held' : (FATES[own.whole(1, 4)] as Fate);
  });
  return {
    wanted: lines.filter((_, k) => fates[k] !== 'extra'),
    painted: lines.flatMap((a, k) => {
      const how = OF_FATE[fates[k] as Fate];
      // A hand is never exact.
      return how
        ? [{ ...a, wide: a.wide * how.wide * own.between(0.9, 1.1), by: a.by * how.by * own.between(0.9, 1.1) }]
        : [];
    }),
    planted: lines.map((a, k) => ({ fate: fates[k] as Fate, light: a.by > 0, box: boxRound(a, tall) })),
  };
}

export interface PlantedExtent {
  /** Number of the shape that is off, and how. */
  readonly shape: number;
  readonly kind: 'wide' | 'narrow' | 'detail';
  /** Share of its width, or L*. */
  readonly by: number;
}

export interface PlannedExtents {
  readonly spreads: readonly Spread[];
  readonly busy: { readonly shape: number; readonly by: number; readonly size: number } | undefined;
  readonly planted: readonly PlantedExtent[];
}

/** Edges of less than this, widths of the picture, are too short to be looked at, and thinner shapes than this too thin. */
const LEAST = { long: 0.07, wide: 0.035 } as const;

/** How many places of one shape touch the other. */
export function touching({ shapeOf, width }: SeenPicture, a: number, b: number): number {
  let n = 0;
  shapeOf.forEach((s, i) => {
    if (s === a && [1, -1, width, -width].some((k) => shapeOf[i + k] === b)) n++;
  });
  return n;
}

type Named = readonly { readonly shape: number; readonly area: number }[];

/** Light and shadow of one thing that meet, the smaller of them, how wide that is, and whether it is too small to be looked at. */
function meetingPairs(picture: SeenPicture, named: Named) {
  const areaOf = new Map(named.map(({ shape, area }) => [shape, area]));
  return [...areaOf].flatMap(([light, areaLight]) => {
    const shadow = light + 1;
    const areaShadow = areaOf.get(shadow);
    if (light % 2 === 1 || areaShadow === undefined) return [];
    const long = touching(picture, light, shadow) / picture.width;
    const small = areaLight <= areaShadow ? light : shadow;
    const wide = (Math.min(areaLight, areaShadow) * (picture.height / picture.width)) / long;
    const large = small === light ? shadow : light;
    const tiny = long < LEAST.long || wide < LEAST.wide;
    return long === 0 ? [] : [{ light, shadow, small, large, wide, tiny }];
  });
}

/**
 * How much of its own width the smaller of two that meet grew, or shrank, as it was painted: a hand that strays moves an edge
 * too, and so does a stroke that laps over it. The canvas was `drawn`, and `shows` the shapes whose paint lies uppermost.
 */
export function paintedExtents(picture: SeenPicture, named: Named, drawn: Uint8Array, shows: Uint8Array) {
  return meetingPairs(picture, named).map(({ light, shadow, small, large, tiny }) => {
    const pair = (shape: number) => shape === light || shape === shadow;
    // What other shapes lap over is no part of the edge between the two.
    const painted = shows.map((shape, i) => (pair(shape) && pair(drawn[i] as number) ? shape : (drawn[i] as number)));
    const places = (shapes: Uint8Array, shape: number) => shapes.reduce((n, s) => (s === shape ? n + 1 : n), 0);
    const share = (shapes: Uint8Array) => places(shapes, small) / (places(shapes, light) + places(shapes, shadow));
    return { shape: small, beside: large, by: share(painted) / share(picture.shapeOf) - 1, tiny };
  });
}

/** An edge between light and shadow as it was painted: how much wider its smaller side became, share of its width, straying and all. */
export interface PaintedEdge {
  readonly name: string;
  /** The larger side. */
  readonly beside: string;
  readonly by: number;
  /** Whether it is too small to be looked at. */
  readonly tiny: boolean;
}

/** What is told of the larger of two that meet is the same of the smaller one, seen from the other side. */
export const ofTheSmaller = <T extends { readonly name: string | null; readonly kind: string }>(
  told: readonly T[],
  painted: readonly PaintedEdge[],
): T[] =>
  told.map((own) => {
    const pair = painted.find((p) => p.beside === own.name);
    if (!pair || own.kind === 'detail' || painted.some((p) => p.name === own.name)) return own;
    return { ...own, name: pair.name, kind: own.kind === 'wide' ? 'narrow' : 'wide' };
  });

/** Edges between light and shadow to be moved, `size` times as far as is usual, and a shape to be made busy. */
export function plannedExtents(picture: SeenPicture, named: Named, own: Chance, size = 1): PlannedExtents {
  const spreads: Spread[] = [];
  const planted: PlantedExtent[] = [];
  for (const { light, shadow, small, wide, tiny } of meetingPairs(picture, named)) {
    if (tiny || spreads.length === 2 || own.next() < 0.4) continue;
    const share = size * own.between(0.1, 0.25);
    const grows = own.next() < 0.5 ? light : shadow;
    const by = Math.min(0.025, share * wide);
    spreads.push({ grows, gives: grows === light ? shadow : light, by });
    planted.push({ shape: small, kind: grows === small ? 'wide' : 'narrow', by: by / wide });
  }
  const quiet = named.filter(
    ({ shape, area }) => shape % 2 === 1 && area > 0.03 && !spreads.some((s) => s.grows === shape || s.gives === shape),
  );
  const chosen = own.next() < 0.6 ? quiet[own.whole(0, quiet.length - 1)] : undefined;
  const busy = chosen && { shape: chosen.shape, by: own.between(7, 12), size: own.between(0.018, 0.03) };
  if (busy) planted.push({ shape: busy.shape, kind: 'detail', by: busy.by });
  return { spreads, busy, planted };
}
