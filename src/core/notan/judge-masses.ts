/** A painting's masses judged by what is asked of them: the steps that each is allotted, light and shadow of one object, overlaps of more than one light. */
import { squaredDistances } from '../raster/distance';
import type { Shift, TonePlane } from '../tones/compare-tones';
import { allotted, type Mass, type MassPlane, objectOf } from '../tones/mass';
import { outlinesOf } from '../tones/tidy';
import type { NotanResult } from './result';

/** So near its outline (share of the longer side) a mass is not asked: a hand strays. */
const OUTLINE = 0.01;
/** Masses are as light as all but this share of them. */
const TAIL = 0.05;
/** An overlap that is this much lighter (L*) is no doubt of the eye. */
const LIGHTER = 2;

/**
 * The tones that count as right where masses are allotted steps: what was drawn where it lies in them, else what was wanted
 * where that does, else the nearest step. Elsewhere what was wanted.
 */
export function withAllotted(
  drawn: TonePlane,
  wanted: TonePlane,
  { x: sx, y: sy }: Shift,
  { nameOf, names }: MassPlane,
  count: number,
): TonePlane {
  const steps = names.map((mass) => allotted(mass, count));
  if (steps.every((s) => s === null)) return wanted;
  const { width, height } = wanted;
  const toneOf = wanted.toneOf.map((w, i) => {
    const own = steps[(nameOf[i] as number) - 1];
    // What is left open is not painted, whatever its steps.
    if (!own || w === 0) return w;
    const [u, v] = [(i % width) + sx, Math.floor(i / width) + sy];
    const d = u < 0 || v < 0 || u >= width || v >= height ? 0 : (drawn.toneOf[v * width + u] as number);
    if (d >= own.from && d <= own.to) return d;
    return Math.min(own.to, Math.max(own.from, w));
  });
  return { width, height, toneOf };
}

/**
 * Without a picture to paint from, for each mass: what was drawn where it lies in its steps, else the nearest step;
 * 0 elsewhere, and all over where it is allotted none.
 */
export function allottedTones(
  { toneOf, width, height }: TonePlane,
  { nameOf, names }: MassPlane,
  count: number,
): TonePlane[] {
  return names.map((mass, k) => {
    const own = allotted(mass, count);
    return {
      width,
      height,
      toneOf: toneOf.map((d, i) => (own && d > 0 && nameOf[i] === k + 1 ? Math.min(own.to, Math.max(own.from, d)) : 0)),
    };
  });
}

const total = (counts: ArrayLike<number>) => Array.from(counts).reduce((s, n) => s + n, 0);

interface Seen {
  readonly mass: Mass;
  readonly box: { readonly x: number; readonly y: number; readonly width: number; readonly height: number };
  /** Places of the mass. */
  readonly places: number;
  /** How many of its places, outline left out, are drawn and wanted in each tone; tone 1 first. */
  readonly drawn: Float64Array;
  readonly wanted: Float64Array;
}

function lookAt(
  drawn: TonePlane,
  wanted: TonePlane | null,
  { x: sx, y: sy }: Shift,
  { nameOf, names }: MassPlane,
  count: number,
): Seen[] {
  if (names.length === 0) return [];
  const { width, height } = drawn;
  const near = (OUTLINE * Math.max(width, height)) ** 2;
  const far = squaredDistances(outlinesOf(nameOf, width), width, height);
  const seen = names.map((mass) => ({
    mass,
    x0: width,
    y0: height,
    x1: 0,
    y1: 0,
    places: 0,
    inner: 0,
    drawn: new Float64Array(count),
    wanted: new Float64Array(count),
  }));
  const each = (take: (own: (typeof seen)[number], i: number, x: number, y: number) => void) => {
    for (let i = 0, x = 0, y = 0; i < nameOf.length; i++) {
      const own = seen[(nameOf[i] as number) - 1];
      if (own) take(own, i, x, y);
      if (++x === width) [x, y] = [0, y + 1];
    }
  };
  each((own, i, x, y) => {
    own.places++;
    if ((far[i] as number) > near) own.inner++;
    own.x0 = Math.min(own.x0, x);
    own.y0 = Math.min(own.y0, y);
    own.x1 = Math.max(own.x1, x + 1);
    own.y1 = Math.max(own.y1, y + 1);
  });
  each((own, i, x, y) => {
    // Of a mass that is all outline, all of it is asked.
    if (own.inner > 0 && (far[i] as number) <= near) return;
    const [u, v] = [x + sx, y + sy];
    const d = u < 0 || v < 0 || u >= width || v >= height ? 0 : (drawn.toneOf[v * width + u] as number);
    const w = wanted ? (wanted.toneOf[i] as number) : 0;
    if (d > 0) own.drawn[d - 1] = (own.drawn[d - 1] as number) + 1;
    if (w > 0) own.wanted[w - 1] = (own.wanted[w - 1] as number) + 1;
  });
  return (
    seen
      // What is left open, or out, is not painted.
      .filter((own) => own.places > 0 && (wanted === null || total(own.wanted) > 0))
      .map(({ mass, places, drawn: d, wanted: w, x0, y0, x1, y1 }) => ({
        mass,
        places,
        drawn: d,
        wanted: w,
        box: { x: x0 / width, y: y0 / height, width: (x1 - x0) / width, height: (y1 - y0) / height },
      }))
  );
}

const added = (all: readonly Float64Array[]) =>
  Float64Array.from(all[0] ?? [], (_, k) => all.reduce((s, own) => s + (own[k] as number), 0));

/** Lightness that a share of the places lies below, L*; null where nothing was painted. `lightness` is that of each tone. */
function quantile(counts: Float64Array, lightness: readonly (number | null)[], share: number): number | null {
  const tones = Array.from(counts.keys()).flatMap((k) => {
    const l = lightness[k] ?? null;
    return l !== null && (counts[k] as number) > 0 ? [{ l, n: counts[k] as number }] : [];
  });
  tones.sort((a, b) => a.l - b.l);
  const limit = share * total(tones.map((t) => t.n));
  let below = 0;
  for (const { l, n } of tones) if ((below += n) >= limit) return l;
  return null;
}

function meanOf(counts: Float64Array, lightness: readonly (number | null)[]): number | null {
  let [n, sum] = [0, 0];
  counts.forEach((c, k) => {
    const l = lightness[k] ?? null;
    if (l !== null) [n, sum] = [n + c, sum + c * l];
  });
  return n === 0 ? null : sum / n;
}

/** How much lighter all of the light is than all of the shadow, but for a tail of each; L*. */
function separation(
  lit: readonly Float64Array[],
  dark: readonly Float64Array[],
  lightness: readonly (number | null)[],
): number | null {
  const [least, most] = [quantile(added(lit), lightness, TAIL), quantile(added(dark), lightness, 1 - TAIL)];
  return least === null || most === null ? null : least - most;
}

/** The tone outside of its steps that more of a mass has than any other; null where it has none. */
function mostOutside(
  counts: Float64Array,
  { from, to }: { readonly from: number; readonly to: number },
  all: number,
): { tone: number; share: number } | null {
  const [tone, n] = Array.from(counts, (c, k) => [k + 1, k + 1 >= from && k + 1 <= to ? 0 : c] as const).reduce(
    (a, b) => (b[1] > a[1] ? b : a),
  );
  return n === 0 ? null : { tone, share: n / all };
}

export type MassesJudged = Pick<NotanResult, 'masses' | 'pairs' | 'overlaps'>;

export interface MassesAsked {
  readonly drawn: TonePlane;
  /** On the same grid; null without a picture to paint from. */
  readonly wanted: TonePlane | null;
  readonly shift: Shift;
  readonly masses: MassPlane;
  /** Of each tone as painted (null where there is none of it) and as asked for, the lightest first, L*. */
  readonly lightness: readonly (number | null)[];
  readonly targets: readonly number[];
}

/**
 * Facts of each mass that lies in the picture; of each object with a lit and a shadow side, how far the two are apart; and
 * overlaps of shadows that are lighter than a shadow of fewer lights on the same object. Metal and glass mirror what is round
 * them: of them no pair is judged.
 */
export function judgeMasses({ drawn, wanted, shift, masses, lightness, targets }: MassesAsked): MassesJudged {
  const count = targets.length;
  const seen = lookAt(drawn, wanted, shift, masses, count);
  const facts = seen.map(({ mass, box, places, drawn: own }) => {
    const steps = allotted(mass, count);
    const within = steps && Array.from({ length: steps.to - steps.from + 1 }, (_, k) => steps.from + k);
    const all = total(own);
    const used = (t: number) => (own[t - 1] as number) >= 0.01 * all;
    return {
      name: mass.name,
      part: mass.part,
      emphasis: mass.emphasis,
      box,
      share: places / drawn.toneOf.length,
      lightness: meanOf(own, lightness),
      steps,
      inside: within && all > 0 ? within.reduce((s, t) => s + (own[t - 1] as number), 0) / all : null,
      outside: steps && all > 0 ? mostOutside(own, steps, all) : null,
      unused: within && all > 0 ? within.filter((t) => !used(t)) : [],
    };
  });
  const objects = new Map<string, Seen[]>();
  for (const own of seen) objects.set(objectOf(own.mass), [...(objects.get(objectOf(own.mass)) ?? []), own]);
  const pairs: MassesJudged['pairs'] = [];
  const overlaps: MassesJudged['overlaps'] = [];
  for (const [object, own] of objects) {
    const [lit, dark] = (['lit', 'shadow'] as const).map((part) => own.filter(({ mass }) => mass.part === part)) as [
      Seen[],
      Seen[],
    ];
    if (lit.length > 0 && dark.length > 0 && own.every(({ mass }) => mass.material === 'matt')) {
      const apart = separation(
        lit.map((s) => s.drawn),
        dark.map((s) => s.drawn),
        lightness,
      );
      const asked =
        wanted &&
        separation(
          lit.map((s) => s.wanted),
          dark.map((s) => s.wanted),
          targets,
        );
      if (apart !== null)
        pairs.push({
          object,
          lit: lit.map((s) => s.mass.name),
          shadow: dark.map((s) => s.mass.name),
          separation: apart,
          wanted: asked,
        });
    }
    for (const more of own)
      for (const fewer of own) {
        if (fewer.mass.blocked < 1 || more.mass.blocked <= fewer.mass.blocked) continue;
        const [a, b] = [meanOf(more.drawn, lightness), meanOf(fewer.drawn, lightness)];
        if (a !== null && b !== null && a > b + LIGHTER)
          overlaps.push({ name: more.mass.name, than: fewer.mass.name, by: a - b });
      }
  }
  return { masses: facts, pairs, overlaps };
}
