/**
 * Marks that a teacher draws on a picture: pins, outlines, arrows and short lines. They are kept as shares of the picture, so that they
 * scale with it, and drawn beside what they point at, never over it.
 */
import { z } from 'zod';

export const MARK_KINDS = ['pin', 'outline', 'arrow', 'line'] as const;
export type MarkKind = (typeof MARK_KINDS)[number];
const MARKED_PICTURES = ['painting', 'reference'] as const;
export type MarkedPicture = (typeof MARKED_PICTURES)[number];

/** Right and down, shares of the picture's width and height. */
export type Place = readonly [x: number, y: number];

const MOST_POINTS = 400;
const place = z.tuple([z.number(), z.number()]);

export const markSchema = z.object({
  kind: z.enum(MARK_KINDS),
  on: z.enum(MARKED_PICTURES),
  points: z.array(place).min(1, 'A mark needs a place.').max(5000, 'This mark is too long: draw it in two.'),
  /** Key of the finding that it belongs to; null of one that has its own words. */
  about: z.string().max(300).nullable(),
  words: z.string().max(300, 'Keep the words beside a mark to 300 characters.'),
});
export type Mark = z.infer<typeof markSchema>;

/** What is said beside a mark: its own words, or those of what it belongs to, by its key; empty where neither says anything. */
export const markWords = (
  { words, about }: Pick<Mark, 'words' | 'about'>,
  sayOf: (key: string) => string | undefined,
): string => words || (about === null ? '' : (sayOf(about) ?? ''));

const within = (v: number) => Math.min(1, Math.max(0, v));
const isInside = ([x, y]: Place) => x >= 0 && x <= 1 && y >= 0 && y <= 1;

/**
 * A mark as it is kept: what lies outside the picture is brought to its edge, and of very many points a few hundred stay.
 * Null where nothing of it lies inside, or where it is too short to be seen.
 */
export function tidied(mark: Mark): Mark | null {
  if (!mark.points.some(isInside)) return null;
  const every = Math.max(1, Math.ceil(mark.points.length / MOST_POINTS));
  const last = mark.points.length - 1;
  const points = mark.points
    .filter((_, k) => k % every === 0 || k === last)
    .map(([x, y]): [number, number] => [within(x), within(y)]);
  if (mark.kind === 'pin') return { ...mark, points: points.slice(0, 1) };
  const [xs, ys] = [points.map((p) => p[0]), points.map((p) => p[1])];
  const size = Math.max(Math.max(...xs) - Math.min(...xs), Math.max(...ys) - Math.min(...ys));
  if (size < SHORTEST) return null;
  const [first, end] = [points[0], points.at(-1)];
  return { ...mark, points: mark.kind === 'arrow' && first && end ? [first, end] : points };
}

/** A stroke that is shorter than this share of the picture is a slip of the hand. */
const SHORTEST = 0.008;
/** In widths of the picture: radius of a pin's head, how far a mark stays off what it points at, an arrow's barbs. */
export const MARK_SIZES = { head: 0.018, off: 0.014, barb: 0.022, leader: 0.05 } as const;

/** The same on a picture that is shown so many times as small. */
export const sizesAt = (size: number): Record<keyof typeof MARK_SIZES, number> => ({
  head: size * MARK_SIZES.head,
  off: size * MARK_SIZES.off,
  barb: size * MARK_SIZES.barb,
  leader: size * MARK_SIZES.leader,
});

/** A mark as it is drawn, in widths of the picture: strokes, and the middle of its number. */
export interface DrawnMark {
  readonly strokes: readonly { readonly points: readonly Place[]; readonly closed: boolean }[];
  readonly label: Place;
}

const add = ([x, y]: Place, by: number, way: number): Place => [x + by * Math.cos(way), y + by * Math.sin(way)];

/** A direction in which there is room for a leader and its head: from the middle outwards, or inwards near an edge. */
function roomFrom([x, y]: Place, tall: number, reach: number): number {
  const outward = Math.atan2(y - tall / 2, x - 0.5);
  const fits = (way: number) => {
    const [u, v] = add([x, y], reach, way);
    return u > 0 && u < 1 && v > 0 && v < tall;
  };
  const turns = [0, 0.7, -0.7, 1.4, -1.4, 2.1, -2.1, Math.PI];
  return turns.map((turn) => outward + turn).find(fits) ?? outward + Math.PI;
}

/** How a mark is drawn on a picture that is `tall` times as high as wide; `size` is more than 1 on a small screen. */
export function drawnMark({ kind, points }: Pick<Mark, 'kind' | 'points'>, tall: number, size = 1): DrawnMark {
  const all = points.map(([x, y]): Place => [x, y * tall]);
  const [first = [0, 0], last = first] = [all[0], all.at(-1)];
  const { head, off, barb, leader } = sizesAt(size);
  switch (kind) {
    case 'pin': {
      const way = roomFrom(first, tall, leader + 2 * head);
      const [from, to] = [add(first, off, way), add(first, leader, way)];
      return { strokes: [{ points: [from, to], closed: false }], label: add(first, leader + head, way) };
    }
    case 'arrow': {
      const way = Math.atan2(last[1] - first[1], last[0] - first[0]);
      const tip = add(last, -off, way);
      const barbs = [add(tip, -barb, way + 0.45), tip, add(tip, -barb, way - 0.45)];
      return {
        strokes: [
          { points: [first, tip], closed: false },
          { points: barbs, closed: false },
        ],
        label: add(first, -head, way),
      };
    }
    case 'outline': {
      const highest = all.reduce((a, b) => (b[1] < a[1] ? b : a), first);
      const above = highest[1] > 3 * head;
      return {
        strokes: [{ points: all, closed: true }],
        label: [highest[0], highest[1] + (above ? -1.6 : 1.6) * head],
      };
    }
    case 'line': {
      const second = all[1] ?? first;
      const way = Math.atan2(second[1] - first[1], second[0] - first[0]);
      return { strokes: [{ points: all, closed: false }], label: add(first, -1.5 * head, way) };
    }
  }
}
