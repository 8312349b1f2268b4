/** What is said of the marks on a drawing, one sentence each. */
import type { Point } from '../geometry/point';
import { disagreeing, leanOf, LEVEL, type Line, offCentre, proportionOf, vanishingOf } from './checks';
import { type Ellipse, fittedEllipse } from './ellipse';

/** What can be marked: along a rim; foot and top of an upright; corners of a box; left and right of a thing; ends of an edge. */
export const MARKS = ['ellipse', 'upright', 'box', 'centre', 'edge'] as const;
export type MarkKind = (typeof MARKS)[number];

/** A figure that was marked, on the painting or on its reference. Points are in widths of the picture, y down. */
export interface Figure {
  readonly kind: MarkKind;
  readonly on: 'painting' | 'reference';
  readonly points: readonly Point[];
}

/** Degrees and shares from which something is told: what a hand that marks is off by is not. */
const LEANS = 1.5;
const MISPROPORTIONED = 0.04;
const STRAYS = 0.008;
const MISSES = 2.5;

const linesOf = (figures: readonly Figure[], kind: MarkKind, on: Figure['on'] = 'painting'): Line[] =>
  figures.flatMap((f) => {
    const [a, b] = f.points;
    return f.kind === kind && f.on === on && a && b ? [[a, b] as const] : [];
  });

const side = (degrees: number) => (degrees > 0 ? 'right' : 'left');

/** Ellipses that were marked so far that they are known. */
export const ellipsesOf = (figures: readonly Figure[]): Ellipse[] =>
  figures.flatMap((f) => {
    const own = f.kind === 'ellipse' && f.on === 'painting' ? fittedEllipse(f.points) : null;
    return own ? [own] : [];
  });

function ellipsesTold(ellipses: readonly Ellipse[], eyeLevel: number | null): string[] {
  const leaning = ellipses.flatMap(({ tilt, long, short }, k) =>
    Math.abs(tilt) > LEVEL && short < 0.9 * long
      ? [`Ellipse ${k + 1} leans down to the ${side(tilt)}: draw its long axis level.`]
      : [],
  );
  const pairs = eyeLevel === null ? [] : disagreeing(ellipses, eyeLevel);
  const wrong = pairs.map(
    ([nearer, further]) =>
      `Ellipse ${further + 1} is further from eye level than ellipse ${nearer + 1}: it should be the rounder of the two.`,
  );
  if (leaning.length + wrong.length > 0 || ellipses.length === 0) return [...leaning, ...wrong];
  return [ellipses.length > 1 && eyeLevel !== null ? 'The ellipses are level and agree.' : 'The ellipse is level.'];
}

const uprightsTold = (lines: readonly Line[]): string[] =>
  lines.map((line, k) => {
    const { degrees } = leanOf(line);
    const which = lines.length > 1 ? `Upright ${k + 1}` : 'The upright';
    return Math.abs(degrees) > LEANS ? `${which} leans to the ${side(degrees)}.` : `${which} stands upright.`;
  });

function boxTold(painted: Line | undefined, wanted: Line | undefined): string[] {
  if (!painted || !wanted) return [];
  const ratio = proportionOf(painted) / proportionOf(wanted);
  if (Math.abs(ratio - 1) <= MISPROPORTIONED) return ['The box has the proportion that it has in the reference.'];
  return [`The box is too ${ratio > 1 ? 'wide' : 'narrow'} for its height.`];
}

function centreTold(pairs: readonly Line[]): string[] {
  if (pairs.length < 2) return [];
  const off = offCentre(pairs);
  const worst = off.reduce((m, o, k) => (Math.abs(o) > Math.abs(off[m] as number) ? k : m), 0);
  const by = off[worst] as number;
  return [
    Math.abs(by) > STRAYS
      ? `At pair ${worst + 1} the middle lies too far to the ${side(by)}: both sides are not alike.`
      : 'Both sides are alike about one centre line.',
  ];
}

function edgesTold(edges: readonly Line[]): string[] {
  const found = edges.length >= 3 ? vanishingOf(edges) : null;
  if (!found) return [];
  const wrong = found.misses.flatMap((miss, k) =>
    miss > MISSES ? [`Edge ${k + 1} misses the point where the others meet.`] : [],
  );
  return wrong.length > 0 ? wrong : ['The edges meet in one point.'];
}

/** Everything that the marks say; nothing of those that are not finished. `eyeLevel` in widths down, null where nobody set it. */
export function toldOfMarks(figures: readonly Figure[], eyeLevel: number | null): string[] {
  return [
    ...ellipsesTold(ellipsesOf(figures), eyeLevel),
    ...uprightsTold(linesOf(figures, 'upright')),
    ...boxTold(linesOf(figures, 'box').at(-1), linesOf(figures, 'box', 'reference').at(-1)),
    ...centreTold(linesOf(figures, 'centre')),
    ...edgesTold(linesOf(figures, 'edge')),
  ];
}
