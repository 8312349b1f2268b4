/**
 * A small ray marcher: steps along a ray by the distance to the nearest surface, one light with a size, and one bounce
 * gathered over the hemisphere. Beside the picture it keeps, exactly and by the middle of each pixel, what the light reaches.
 */
import { linearToCode } from '@/core/colour/srgb';
import { chance } from '@/devices/random';
import type { Scene, Thing, Vector } from './scene';

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

/** Highlight and halftone belong to the light, core and cast shadow to the shadow. */
export const PARTS = ['light', 'halftone', 'highlight', 'shadow', 'cast-shadow'] as const;

const FAR = 400;
const MOST_STEPS = 220;
/** A lit place turned further from the light than this (cosine) is halftone. */
const HALFTONE = 0.35;
const HIGHLIGHT = 0.25;

const dot = (a: Vector, b: Vector) => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
const less = (a: Vector, b: Vector): Vector => [a[0] - b[0], a[1] - b[1], a[2] - b[2]];
const unit = (a: Vector): Vector => {
  const n = Math.sqrt(a[0] * a[0] + a[1] * a[1] + a[2] * a[2]) || 1;
  return [a[0] / n, a[1] / n, a[2] / n];
};
const cross = (a: Vector, b: Vector): Vector => [
  a[1] * b[2] - a[2] * b[1],
  a[2] * b[0] - a[0] * b[2],
  a[0] * b[1] - a[1] * b[0],
];
const along = (from: Vector, by: Vector, t: number): Vector => [
  from[0] + by[0] * t,
  from[1] + by[1] * t,
  from[2] + by[2] * t,
];

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

function march(things: readonly Thing[], from: Vector, by: Vector, reach = FAR): Hit | null {
  let t = 0.004;
  for (let step = 0; step < MOST_STEPS && t < reach; step++) {
    const d = nearest(things, from[0] + by[0] * t, from[1] + by[1] * t, from[2] + by[2] * t);
    if (d < 0.0008 * (1 + t)) return { t, k: nearestThing };
    t += d;
  }
  return null;
}

function normalAt({ distance }: Thing, [x, y, z]: Vector): Vector {
  const e = 0.0015;
  return unit([
    distance(x + e, y, z) - distance(x - e, y, z),
    distance(x, y + e, z) - distance(x, y - e, z),
    distance(x, y, z + e) - distance(x, y, z - e),
  ]);
}

const colourAt = ({ colour }: Thing, [x, y, z]: Vector): Vector =>
  typeof colour === 'function' ? colour(x, y, z) : colour;

/** Cosine of the light's fall on a place from one point of the light; 0 where it is turned away or blocked. */
function reached(scene: Scene, place: Vector, normal: Vector, lightAt: Vector): number {
  const way = less(lightAt, place);
  const far = Math.sqrt(dot(way, way));
  const to: Vector = [way[0] / far, way[1] / far, way[2] / far];
  const facing = dot(normal, to);
  if (facing <= 0) return 0;
  return march(scene.things, along(place, normal, 0.006), to, Math.min(FAR, far)) ? 0 : facing;
}

/** What is seen through the middle of each pixel. */
interface Seen {
  readonly width: number;
  readonly height: number;
  readonly thingOf: Uint8Array;
  readonly partOf: Uint8Array;
  readonly normals: Float32Array;
  readonly depth: Float32Array;
}

type Ray = (px: number, py: number) => Vector;

function rays({ eye, at, view, aspect }: Scene, width: number, height: number): Ray {
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

/** How much of the light a place throws straight back at the eye. */
function shine({ gloss }: Thing, lightAt: Vector, normal: Vector, by: Vector, place: Vector): number {
  if (!gloss) return 0;
  const half = unit(less(unit(less(lightAt, place)), by));
  return gloss * 1.4 * Math.max(0, dot(normal, half)) ** (20 + 160 * gloss);
}

function look(scene: Scene, ray: Ray, width: number, height: number): Seen {
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
function restless({ width, height, thingOf, partOf }: Seen, reach: number): Uint8Array {
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

/** Light that comes back from things all about, for every third pixel: over the hemisphere, as often as counts (cosine). */
function gather(scene: Scene, ray: Ray, seen: Seen, ways: number): Float32Array {
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
function spread(gathered: Float32Array, { width, height, thingOf, normals, depth }: Seen): Float32Array {
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
