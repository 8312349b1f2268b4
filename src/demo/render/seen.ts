/** What is seen through the middle of each pixel, exactly: the thing, its normal and depth, and what the light reaches. */
import { FAR, march, normalAt, type Ray, reached } from './march';
import type { Scene, Thing, Vector } from './scene';
import { along, dot, less, unit } from './vectors';

/** Highlight and halftone belong to the light, core and cast shadow to the shadow. */
export const PARTS = ['light', 'halftone', 'highlight', 'shadow', 'cast-shadow'] as const;

/** A lit place turned further from the light than this (cosine) is halftone. */
const HALFTONE = 0.35;
const HIGHLIGHT = 0.25;

/** What is seen through the middle of each pixel. */
export interface Seen {
  readonly width: number;
  readonly height: number;
  readonly thingOf: Uint8Array;
  readonly partOf: Uint8Array;
  readonly normals: Float32Array;
  readonly depth: Float32Array;
}

/** How much of the light a place throws straight back at the eye. */
export function shine({ gloss }: Thing, lightAt: Vector, normal: Vector, by: Vector, place: Vector): number {
  if (!gloss) return 0;
  const half = unit(less(unit(less(lightAt, place)), by));
  return gloss * 1.4 * Math.max(0, dot(normal, half)) ** (20 + 160 * gloss);
}

export function look(scene: Scene, ray: Ray, width: number, height: number): Seen {
  const n = width * height;
  const seen = {
    width,
    height,
    thingOf: new Uint8Array(n),
    partOf: new Uint8Array(n),
    normals: new Float32Array(3 * n),
    depth: new Float32Array(n),
  };
  const { things, light, eye } = scene;
  for (let i = 0; i < n; i++) {
    const by = ray((i % width) + 0.5, Math.floor(i / width) + 0.5);
    const hit = march(things, eye, by);
    seen.depth[i] = hit?.t ?? FAR;
    if (!hit) continue;
    const thing = things[hit.k] as Thing;
    const place = along(eye, by, hit.t);
    const normal = normalAt(thing, place);
    seen.normals.set(normal, 3 * i);
    seen.thingOf[i] = hit.k + 1;
    const towards = dot(normal, unit(less(light.at, place)));
    if (reached(scene, place, normal, light.at) > 0)
      seen.partOf[i] = shine(thing, light.at, normal, by, place) > HIGHLIGHT ? 2 : towards < HALFTONE ? 1 : 0;
    else seen.partOf[i] = towards > 0.05 ? 4 : 3;
  }
  return seen;
}

/** 1 where light and shadow, or two things, meet within so many pixels: there one ray is not enough. */
export function restless({ width, height, thingOf, partOf }: Seen, reach: number): Uint8Array {
  const kind = thingOf.map((t, i) => 2 * t + ((partOf[i] as number) >= 3 ? 1 : 0));
  const out = new Uint8Array(kind.length);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++)
      for (const [u, v] of [
        [x + reach, y],
        [x, y + reach],
        [x + 1, y],
        [x, y + 1],
        [x + reach, y + reach],
      ] as const) {
        if (u >= width || v >= height || kind[v * width + u] === kind[y * width + x]) continue;
        for (let k = 0; k <= reach; k++)
          out[Math.round(y + ((v - y) * k) / reach) * width + Math.round(x + ((u - x) * k) / reach)] = 1;
      }
  return out;
}
