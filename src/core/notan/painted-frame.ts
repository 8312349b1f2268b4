/** A dark frame that somebody painted round a picture, so that all its values are seen against one dark. */
import { median, quantile } from '../fitting/quantile';
import type { Raster } from '../raster/raster';
import { someOf } from '../raster/some-of';
import type { TonePlane } from '../tones/compare-tones';

/** So much of a line along the edge is dark where there is a frame. */
const COVERED = 0.95;
/** No darker than this (L*) above the darkest hundredth counts as frame. */
const AS_DARK = 9;
/** A frame is at least and at most so wide, shares of the longer side. */
const NARROWEST = 0.012;
const WIDEST = 0.15;
/**
 * Its inner edge is straight: within this share of the longer side at least so much of a line along it stops being
 * dark. The outline of a thing on a dark ground curves away.
 */
const STRAIGHT = { within: 0.015, drop: 0.25 } as const;
/** A frame is as wide on one side as on another but for this factor, unless the picture is dark along it. */
const AS_WIDE = 1.5;
/** Along the very edge paper may show. */
const RIM = 0.006;

export interface PaintedFrame {
  /** The picture inside, places: left, top, and one past right and bottom. */
  readonly inside: { readonly x0: number; readonly y0: number; readonly x1: number; readonly y1: number };
  /** Median lightness of the frame, L*. */
  readonly lightness: number;
}

/** Whether a reference is itself in its darkest tone almost all round: a painting of it then shows dark there, and no frame can be told from it. */
export function darkAllRound({ toneOf, width, height }: TonePlane): boolean {
  const darkest = toneOf.reduce((a, t) => Math.max(a, t), 0);
  const sides = [
    Array.from({ length: width }, (_, x) => toneOf[x]),
    Array.from({ length: width }, (_, x) => toneOf[(height - 1) * width + x]),
    Array.from({ length: height }, (_, y) => toneOf[y * width]),
    Array.from({ length: height }, (_, y) => toneOf[y * width + width - 1]),
  ];
  return sides.every((side) => side.filter((t) => t === darkest).length > 0.5 * side.length);
}

/**
 * The frame, or null where there is none. A dark band all round is a frame where it ends in a straight line, equally wide on
 * two sides at least; where the picture itself is dark along a side, the frame is taken to be as wide there as elsewhere.
 */
export function paintedFrame(plane: Raster<'lightness', 1>): PaintedFrame | null {
  const { width, height, data } = plane;
  const long = Math.max(width, height);
  const limit = quantile(someOf(plane), 0.01) + AS_DARK;
  const rim = Math.round(RIM * long);
  const within = Math.round(STRAIGHT.within * long);
  /** How far a dark band reaches from a side, and whether it ends in a straight line; `at` gives the place `along` the line that is `off` from it. */
  const band = (
    length: number,
    at: (off: number, along: number) => number,
  ): { readonly width: number; readonly straight: boolean } => {
    const covered = (off: number): number => {
      let dark = 0;
      for (let along = rim; along < length - rim; along++) if ((data[at(off, along)] as number) <= limit) dark++;
      return dark / (length - 2 * rim);
    };
    for (let off = rim; off <= WIDEST * long; off++)
      if (covered(off) < COVERED)
        return {
          width: off === rim ? 0 : off,
          straight: off > rim && covered(off - 1) - covered(off + within) >= STRAIGHT.drop,
        };
    return { width: Infinity, straight: false };
  };
  const lines: readonly Parameters<typeof band>[] = [
    [width, (off, x) => off * width + x],
    [width, (off, x) => (height - 1 - off) * width + x],
    [height, (off, y) => y * width + off],
    [height, (off, y) => y * width + width - 1 - off],
  ];
  const sides: ReturnType<typeof band>[] = [];
  for (const line of lines) {
    const side = band(...line);
    // Most pictures have no frame: one side without says so of all.
    if (side.width < NARROWEST * long) return null;
    sides.push(side);
  }
  const narrowest = Math.min(...sides.map((s) => s.width));
  const alike = sides.filter((s) => s.straight && s.width <= AS_WIDE * narrowest).map((s) => s.width);
  if (alike.length < 2) return null;
  const [top, bottom, left, right] = sides.map((s) => (s.width > AS_WIDE * narrowest ? median(alike) : s.width)) as [
    number,
    number,
    number,
    number,
  ];
  const inside = { x0: left + 1, y0: top + 1, x1: width - right - 1, y1: height - bottom - 1 };
  const frame: number[] = [];
  for (let y = rim; y < height - rim; y++)
    for (let x = rim; x < width - rim; x++)
      if (x < left - 1 || x > width - right || y < top - 1 || y > height - bottom)
        frame.push(data[y * width + x] as number);
  return { inside, lightness: median(frame) };
}
