/**
 * Lines across a banded picture, from its lightest band to its darkest: round a lamp or a far opening, or straight down
 * through ranges of hills. Where bands are drawn by hand, each line still meets them one after the other.
 */
import type { Motif } from '../exercise/terms';
import type { Frame } from './motifs';
import type { Corner } from './shapes';

export interface Rays {
  readonly count: number;
  /** Whether the last lies beside the first. */
  readonly round: boolean;
  /** From where it begins to the frame's edge. */
  lengthMm(ray: number): number;
  /** A place on a ray, mm in the frame. */
  at(ray: number, mm: number): Corner;
  /** The ray nearest to a place, and how far along it. */
  of(xMm: number, yMm: number): readonly [ray: number, mm: number];
}

const RAYS = 180;

function down({ widthMm, heightMm }: Frame): Rays {
  const middle = (ray: number) => ((ray + 0.5) * widthMm) / RAYS;
  return {
    count: RAYS,
    round: false,
    lengthMm: () => heightMm,
    at: (ray, mm) => [middle(ray), mm],
    of: (x, y) => [Math.min(RAYS - 1, Math.max(0, Math.floor((x / widthMm) * RAYS))), y],
  };
}

function outwards({ widthMm, heightMm }: Frame, [cx, cy]: Corner): Rays {
  const turn = (2 * Math.PI) / RAYS;
  const towards = Array.from({ length: RAYS }, (_, ray) => [Math.cos(ray * turn), Math.sin(ray * turn)] as const);
  const until = (from: number, by: number, end: number) =>
    by > 0 ? (end - from) / by : by < 0 ? -from / by : Infinity;
  return {
    count: RAYS,
    round: true,
    lengthMm(ray) {
      const [dx, dy] = towards[ray] as readonly [number, number];
      return Math.min(until(cx, dx, widthMm), until(cy, dy, heightMm));
    },
    at(ray, mm) {
      const [dx, dy] = towards[ray] as readonly [number, number];
      return [cx + mm * dx, cy + mm * dy];
    },
    of(x, y) {
      const [dx, dy] = [x - cx, y - cy];
      return [(Math.round(Math.atan2(dy, dx) / turn) + RAYS) % RAYS, Math.hypot(dx, dy)];
    },
  };
}

/** `centre` is the middle of the lamp or of the far opening, mm in the frame; hills have none. */
export function raysOf(motif: Motif, frame: Frame, centre: Corner): Rays {
  return motif === 'ranges' ? down(frame) : outwards(frame, centre);
}
