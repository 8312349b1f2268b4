/**
 * A small ray marcher: one light with a size, and one bounce. Beside the picture it keeps, exactly and by the middle of
 * each pixel, what the light reaches.
 */
import { linearToCode } from '@/core/colour/srgb';
import { chance } from '@/devices/random';
import { gather, spread } from './bounced-light';
import { colourAt, march, normalAt, rays, reached } from './march';
import type { Scene, Thing, Vector } from './scene';
import { look, restless, shine } from './seen';
import { along } from './vectors';

export interface Rendered {
  readonly width: number;
  readonly height: number;
  /** sRGB codes, three a pixel. */
  readonly codes: Uint8Array;
  /** Thing of each pixel by its place in the scene, from 1; 0 where nothing is. */
  readonly thingOf: Uint8Array;
  /** One of PARTS by its place, of each pixel. */
  readonly partOf: Uint8Array;
}

/** Rays where light and shadow or two things meet (one is taken elsewhere), and by how much the scene's own ways over the hemisphere are multiplied. */
export interface Fineness {
  readonly atEdges: number;
  readonly ways: number;
}

export function render(scene: Scene, width: number, { atEdges, ways }: Fineness): Rendered {
  const height = Math.round(width / scene.aspect);
  const ray = rays(scene, width, height);
  const seen = look(scene, ray, width, height);
  const often = restless(seen, Math.max(1, Math.round(width / 400)));
  const around = spread(gather(scene, ray, seen, Math.max(1, Math.round(scene.ways * ways))), seen);
  const { things, light, eye, exposure, haze } = scene;
  const own = chance(1).fork(scene.name);
  const codes = new Uint8Array(3 * width * height);
  for (let i = 0; i < width * height; i++) {
    const rounds = often[i] === 1 ? atEdges : 1;
    const sum = [0, 0, 0];
    for (let s = 0; s < rounds; s++) {
      const [jx, jy] = rounds > 1 ? [own.next(), own.next()] : [0.5, 0.5];
      const by = ray((i % width) + jx, Math.floor(i / width) + jy);
      const hit = march(things, eye, by);
      if (!hit) {
        scene.sky(...by).forEach((v, c) => (sum[c] = (sum[c] as number) + v));
        continue;
      }
      const thing = things[hit.k] as Thing;
      const place = along(eye, by, hit.t);
      const normal = normalAt(thing, place);
      const colour = colourAt(thing, place);
      const wide = light.size * 0.6;
      const lamp: Vector =
        rounds > 1
          ? [light.at[0] + wide * own.gauss(), light.at[1] + wide * own.gauss(), light.at[2] + wide * own.gauss()]
          : light.at;
      const fall = reached(scene, place, normal, lamp);
      const gleam = fall > 0 ? shine(thing, light.at, normal, by, place) : 0;
      const air = haze ? Math.exp(-hit.t / haze.over) : 1;
      for (let c = 0; c < 3; c++)
        sum[c] =
          (sum[c] as number) +
          air *
            ((light.colour[c] as number) * (fall * (colour[c] as number) + gleam) +
              (around[3 * i + c] as number) * (colour[c] as number)) +
          (1 - air) * (haze?.colour[c] ?? 0);
    }
    for (let c = 0; c < 3; c++) {
      const bright = (exposure * (sum[c] as number)) / rounds;
      // A shoulder, as film has: nothing is cut off hard at white.
      codes[3 * i + c] = linearToCode(bright <= 0.7 ? bright : 0.7 + 0.3 * (1 - Math.exp(-(bright - 0.7) / 0.3)));
    }
  }
  return { width, height, codes, thingOf: seen.thingOf, partOf: seen.partOf };
}
