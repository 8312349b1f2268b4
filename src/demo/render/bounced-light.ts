/** Light that things throw at each other: one bounce, gathered over the hemisphere at some pixels and spread to the others. */
import { chance } from '@/devices/random';
import { colourAt, march, normalAt, type Ray, reached } from './march';
import type { Scene, Thing, Vector } from './scene';
import type { Seen } from './seen';
import { along, cross, unit } from './vectors';

/** Light that comes back from things all about, for every third pixel: over the hemisphere, as often as counts (cosine). */
export function gather(scene: Scene, ray: Ray, seen: Seen, ways: number): Float32Array {
  const { width, thingOf, normals, depth } = seen;
  const out = new Float32Array(3 * thingOf.length).fill(NaN);
  const own = chance(2).fork(scene.name);
  const { things, light } = scene;
  const above = scene.sky(0, 1, 0);
  for (let i = 0; i < thingOf.length; i++) {
    const [x, y] = [i % width, Math.floor(i / width)];
    if (thingOf[i] === 0 || x % EVERY !== 0 || y % EVERY !== 0) continue;
    const normal: Vector = [normals[3 * i] as number, normals[3 * i + 1] as number, normals[3 * i + 2] as number];
    const place = along(along(scene.eye, ray(x + 0.5, y + 0.5), depth[i] as number), normal, 0.008);
    const side = unit(cross(Math.abs(normal[1]) < 0.9 ? [0, 1, 0] : [1, 0, 0], normal));
    const other = cross(normal, side);
    let [r, g, b] = [0, 0, 0];
    for (let way = 0; way < ways; way++) {
      const out = Math.sqrt(own.next());
      const turn = own.between(0, 2 * Math.PI);
      const [p, q, rise] = [out * Math.cos(turn), out * Math.sin(turn), Math.sqrt(1 - out * out)];
      const by: Vector = [
        p * side[0] + q * other[0] + rise * normal[0],
        p * side[1] + q * other[1] + rise * normal[1],
        p * side[2] + q * other[2] + rise * normal[2],
      ];
      const beyond = march(things, place, by, 60);
      if (!beyond) {
        const sky = scene.sky(...by);
        r += sky[0];
        g += sky[1];
        b += sky[2];
        continue;
      }
      const there = things[beyond.k] as Thing;
      const spot = along(place, by, beyond.t);
      const lit = reached(scene, spot, normalAt(there, spot), light.at);
      const c = colourAt(there, spot);
      r += c[0] * (lit * light.colour[0] + 0.12 * above[0]);
      g += c[1] * (lit * light.colour[1] + 0.12 * above[1]);
      b += c[2] * (lit * light.colour[2] + 0.12 * above[2]);
    }
    out.set([r / ways, g / ways, b / ways], 3 * i);
  }
  return out;
}

const EVERY = 3;

/** What was gathered here and there, for every pixel: the mean over neighbours on the same smooth surface. */
export function spread(gathered: Float32Array, { width, height, thingOf, normals, depth }: Seen): Float32Array {
  const reach = Math.max(2 * EVERY, Math.round(width / 160));
  const out = new Float32Array(gathered.length);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const i = y * width + x;
      let [r, g, b, weight] = [0, 0, 0, 0];
      for (let strict = 1; strict >= 0 && weight === 0; strict--)
        for (
          let v = Math.ceil(Math.max(0, y - reach) / EVERY) * EVERY;
          v <= Math.min(height - 1, y + reach);
          v += EVERY
        )
          for (
            let u = Math.ceil(Math.max(0, x - reach) / EVERY) * EVERY;
            u <= Math.min(width - 1, x + reach);
            u += EVERY
          ) {
            const k = v * width + u;
            if (Number.isNaN(gathered[3 * k]) || (strict && thingOf[k] !== thingOf[i])) continue;
            const alike =
              (normals[3 * i] as number) * (normals[3 * k] as number) +
              (normals[3 * i + 1] as number) * (normals[3 * k + 1] as number) +
              (normals[3 * i + 2] as number) * (normals[3 * k + 2] as number);
            if (
              strict &&
              (alike < 0.9 || Math.abs((depth[k] as number) - (depth[i] as number)) > 0.04 * (depth[i] as number))
            )
              continue;
            r += gathered[3 * k] as number;
            g += gathered[3 * k + 1] as number;
            b += gathered[3 * k + 2] as number;
            weight++;
          }
      if (weight > 0) out.set([r / weight, g / weight, b / weight], 3 * i);
    }
  return out;
}
