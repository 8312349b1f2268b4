/** Steps along a ray by the distance to the nearest surface: what it meets, and whether the light reaches a place. */
import type { Scene, Thing, Vector } from './scene';
import { along, cross, dot, less, unit } from './vectors';

export const FAR = 400;
const MOST_STEPS = 220;
/** Distance to the nearest thing. Which it is stands in `nearestThing`: two numbers a step, and no object made for them. */
let nearestThing = -1;
function nearest(things: readonly Thing[], x: number, y: number, z: number): number {
  let d = Infinity;
  for (let i = 0; i < things.length; i++) {
    const { within, distance } = things[i] as Thing;
    let own: number;
    if (within) {
      const dx = x - within.at[0];
      const dy = y - within.at[1];
      const dz = z - within.at[2];
      own = Math.sqrt(dx * dx + dy * dy + dz * dz) - within.r;
      // Far off, the ball round it will do.
      if (own < 0.3) own = distance(x, y, z);
    } else own = distance(x, y, z);
    if (own < d) {
      d = own;
      nearestThing = i;
    }
  }
  return d;
}

interface Hit {
  readonly t: number;
  readonly k: number;
}

export function march(things: readonly Thing[], from: Vector, by: Vector, reach = FAR): Hit | null {
  let t = 0.004;
  for (let step = 0; step < MOST_STEPS && t < reach; step++) {
    const d = nearest(things, from[0] + by[0] * t, from[1] + by[1] * t, from[2] + by[2] * t);
    if (d < 0.0008 * (1 + t)) return { t, k: nearestThing };
    t += d;
  }
  return null;
}

export function normalAt({ distance }: Thing, [x, y, z]: Vector): Vector {
  const e = 0.0015;
  return unit([
    distance(x + e, y, z) - distance(x - e, y, z),
    distance(x, y + e, z) - distance(x, y - e, z),
    distance(x, y, z + e) - distance(x, y, z - e),
  ]);
}

export const colourAt = ({ colour }: Thing, [x, y, z]: Vector): Vector =>
  typeof colour === 'function' ? colour(x, y, z) : colour;

/** Cosine of the light's fall on a place from one point of the light; 0 where it is turned away or blocked. */
export function reached(scene: Scene, place: Vector, normal: Vector, lightAt: Vector): number {
  const way = less(lightAt, place);
  const far = Math.sqrt(dot(way, way));
  const to: Vector = [way[0] / far, way[1] / far, way[2] / far];
  const facing = dot(normal, to);
  if (facing <= 0) return 0;
  return march(scene.things, along(place, normal, 0.006), to, Math.min(FAR, far)) ? 0 : facing;
}

export type Ray = (px: number, py: number) => Vector;

export function rays({ eye, at, view, aspect }: Scene, width: number, height: number): Ray {
  const forward = unit(less(at, eye));
  const right = unit(cross(forward, [0, 1, 0]));
  const up = cross(right, forward);
  const reach = Math.tan((view * Math.PI) / 360);
  return (px, py) => {
    const u = ((2 * px) / width - 1) * reach * aspect;
    const v = (1 - (2 * py) / height) * reach;
    return unit([
      forward[0] + right[0] * u + up[0] * v,
      forward[1] + right[1] * u + up[1] * v,
      forward[2] + right[2] * u + up[2] * v,
    ]);
  };
}
