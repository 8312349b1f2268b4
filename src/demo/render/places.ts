/** Places of the sample world in one light: the breakwater, the stair hall, the hills behind the salt pans. */
import { smoothNoise } from '@/devices/random';
import {
  ball,
  block,
  common,
  cone,
  type Distance,
  floor,
  joined,
  land,
  melted,
  rod,
  stretched,
  turned,
  without,
} from './distances';
import type { Scene, Vector } from './scene';

const layered = (x: number, z: number, salt: number) =>
  smoothNoise(x, z, salt) +
  0.5 * smoothNoise(2.1 * x, 2.1 * z, salt + 1) +
  0.25 * smoothNoise(4.3 * x, 4.3 * z, salt + 2);

const evening =
  (low: Vector, high: Vector) =>
  (_dx: number, dy: number): Vector => {
    const t = Math.min(1, Math.max(0, dy * 2.2)) ** 0.6;
    return [low[0] + (high[0] - low[0]) * t, low[1] + (high[1] - low[1]) * t, low[2] + (high[2] - low[2]) * t];
  };

/** A dinghy: a hull with a hollow, two thwarts and a stern. */
const dinghy = (cx: number, cz: number, turn: number): Distance => {
  const hull = (grow: number): Distance => stretched(ball(cx, 0.42, cz, 1 + grow), 2.1, 0.62, 0.82, cx, 0.42, cz);
  const body = common(without(hull(0), hull(-0.1)), (x, y) =>
    Math.max(y - (0.42 + 0.05 * (x - cx) ** 2), cx - 1.75 - x),
  );
  return turned(
    joined(
      body,
      common(hull(-0.05), block(cx + 0.5, 0.3, cz, 0.16, 0.04, 0.9)),
      common(hull(-0.05), block(cx - 0.7, 0.3, cz, 0.2, 0.04, 0.9)),
      common(hull(0), block(cx - 1.75, 0.1, cz, 0.06, 0.4, 1)),
    ),
    turn,
    cx,
    cz,
  );
};

const breakwater = (): Scene => {
  const stones = (x: number, y: number, z: number): Vector => {
    const [row, shift] = [Math.floor(y / 0.42), (Math.floor(y / 0.42) % 2) * 0.5];
    const [u, w] = [(x + 0.4 * z) / 0.9 + shift, y / 0.42 - row];
    const joint = Math.abs(u - Math.floor(u) - 0.5) > 0.46 || w < 0.07 ? 0.6 : 1;
    const own = 0.85 + 0.25 * smoothNoise(Math.floor(u) * 3.7, row * 5.1, 21);
    return [0.44 * joint * own, 0.42 * joint * own, 0.38 * joint * own];
  };
  const tower = joined(
    cone(5.2, -8.5, 1.5, 6.1, 0.95, 0.62),
    cone(5.2, -8.5, 6.1, 6.35, 0.95, 0.95),
    cone(5.2, -8.5, 6.35, 7.2, 0.45, 0.45),
    cone(5.2, -8.5, 7.2, 7.85, 0.62, 0.04),
  );
  return {
    name: 'breakwater',
    title: 'Breakwater with a light and two dinghies',
    aspect: 1.2,
    eye: [-3.4, 3.3, 10.5],
    at: [0.7, 2.2, -3],
    view: 36,
    exposure: 1,
    ways: 6,
    light: { at: [-62, 40, 26], size: 1.2, colour: [0.92, 0.83, 0.66] },
    sky: evening([0.62, 0.63, 0.64], [0.34, 0.42, 0.55]),
    haze: { colour: [0.6, 0.62, 0.64], over: 160 },
    things: [
      {
        name: 'water',
        distance: land(
          (x, z) => 0.035 * smoothNoise(0.7 * x, 2.1 * z, 51) + 0.02 * smoothNoise(2.3 * x, 5.2 * z, 52),
          0.8,
        ),
        colour: [0.05, 0.09, 0.11],
        gloss: 0.18,
      },
      {
        name: 'breakwater',
        distance: joined(
          turned(block(6, 0.5, -8.5, 10, 1.15, 1.6, 0.08), 0.16, 6, -8.5),
          turned(block(8, 1.5, -9.6, 8, 1.1, 0.35, 0.05), 0.16, 6, -8.5),
        ),
        colour: stones,
      },
      {
        name: 'light',
        distance: tower,
        colour: (_x, y) =>
          y > 6.35 && y < 7.2 ? [0.1, 0.11, 0.12] : y > 3 && y < 4.3 ? [0.5, 0.12, 0.09] : [0.8, 0.79, 0.75],
        within: { at: [5.2, 4.5, -8.5], r: 3.7 },
      },
      {
        name: 'near dinghy',
        distance: dinghy(-2.2, 2.2, 0.5),
        colour: [0.62, 0.58, 0.5],
        within: { at: [-2.2, 0.4, 2.2], r: 2.4 },
      },
      {
        name: 'far dinghy',
        distance: dinghy(2.6, -2.6, -0.45),
        colour: [0.13, 0.2, 0.25],
        within: { at: [2.6, 0.4, -2.6], r: 2.4 },
      },
      {
        name: 'posts',
        distance: joined(
          rod(-5.6, -0.5, -4.4, -5.6, 2.3, -4.4, 0.2),
          rod(-4.4, -0.5, -6, -4.4, 2.1, -6, 0.2),
          rod(-0.4, -0.5, 1.3, -0.4, 1.5, 1.3, 0.13),
        ),
        colour: [0.12, 0.1, 0.08],
      },
      {
        name: 'headland',
        distance: land(
          (x, z) =>
            -2 +
            7.5 *
              Math.exp(-(((x + 46) / 26) ** 2) - ((z + 85) / 16) ** 2) *
              (1 + 0.2 * layered(0.08 * x, 0.08 * z, 55)),
          0.7,
        ),
        colour: [0.16, 0.19, 0.13],
      },
    ],
  };
};

const stairs = (): Scene => {
  const steps = joined(
    ...Array.from({ length: 9 }, (_, k) => block(1.9, 0.17 * (k + 1), 0.9 - 0.5 * k, 1.25, 0.17 * (k + 1), 0.25)),
  );
  const balusters = joined(
    ...Array.from({ length: 9 }, (_, k) =>
      rod(0.72, 0.34 * (k + 1), 0.9 - 0.5 * k, 0.72, 0.34 * (k + 1) + 1.05, 0.9 - 0.5 * k, 0.045),
    ),
  );
  const rail = joined(
    rod(0.72, 1.42, 1, 0.72, 4.15, -3.15, 0.085),
    melted(0.08, block(0.72, 0.8, 1.28, 0.15, 0.8, 0.15, 0.03), ball(0.72, 1.78, 1.28, 0.2)),
  );
  // The window's wall stands to the left: tall, with bars; the light comes through it.
  const wallWithWindow: Distance = (x, y, z) => {
    const slab = Math.abs(x + 3.4) - 0.14;
    const hole = Math.max(Math.abs(z + 0.6) - 0.85, Math.abs(y - 2.9) - 1.9);
    const bars = Math.min(
      Math.max(Math.abs(z + 0.6) - 0.045, Math.abs(x + 3.4) - 0.05),
      ...[1.95, 2.9, 3.85].map((h) => Math.max(Math.abs(y - h) - 0.045, Math.abs(x + 3.4) - 0.05)),
    );
    return Math.min(Math.max(slab, -hole), Math.max(bars, hole));
  };
  return {
    name: 'stair-hall',
    title: 'Stair hall with a tall window',
    aspect: 0.8,
    eye: [-1.15, 1.75, 7.2],
    at: [-0.4, 2.15, -0.6],
    view: 47,
    exposure: 2.1,
    ways: 28,
    light: { at: [-22, 17, 3.2], size: 0.6, colour: [1.05, 0.98, 0.84] },
    sky: (dx, dy, dz) =>
      dz > 0.2 ? [0.3, 0.3, 0.31] : dx < -0.1 ? [0.55, 0.6, 0.68] : [0.08 + 0.02 * dy, 0.085, 0.09],
    things: [
      {
        name: 'floor',
        distance: floor(0),
        colour: (x, _y, z) =>
          (Math.floor(x / 0.62) + Math.floor(z / 0.62)) % 2 === 0 ? [0.52, 0.5, 0.46] : [0.16, 0.15, 0.14],
      },
      { name: 'window wall', distance: wallWithWindow, colour: [0.55, 0.54, 0.5] },
      { name: 'back wall', distance: (_x, _y, z) => z + 4.2, colour: [0.58, 0.57, 0.52] },
      { name: 'right wall', distance: (x: number) => 3.2 - x, colour: [0.52, 0.52, 0.48] },
      { name: 'ceiling', distance: block(0, 6.6, 2, 3.6, 0.2, 7), colour: [0.6, 0.6, 0.58] },
      {
        name: 'stairs',
        distance: steps,
        colour: (x, y) => (Math.abs(x - 1.9) < 0.75 && y > 0.05 ? [0.35, 0.1, 0.08] : [0.42, 0.33, 0.24]),
        within: { at: [1.9, 1.5, -1.1], r: 3.6 },
      },
      {
        name: 'banister',
        distance: joined(balusters, rail),
        colour: [0.12, 0.075, 0.05],
        gloss: 0.25,
        within: { at: [0.72, 2.2, -1], r: 3.3 },
      },
      {
        name: 'chair',
        distance: turned(
          joined(
            block(-1.55, 0.86, -1.6, 0.42, 0.05, 0.42, 0.02),
            block(-1.55, 1.5, -2, 0.42, 0.32, 0.05, 0.03),
            ...[-1.9, -1.2].flatMap((x) => [
              rod(x, 0, -1.25, x, 0.86, -1.25, 0.05),
              rod(x, 0, -1.98, x, 1.8, -2, 0.05),
            ]),
          ),
          0.5,
          -1.55,
          -1.6,
        ),
        colour: [0.3, 0.2, 0.12],
        within: { at: [-1.55, 0.9, -1.6], r: 1.3 },
      },
    ],
  };
};

const saltPans = (): Scene => {
  const range = (far: number, high: number, salt: number, wave: number) =>
    land(
      (x, z) =>
        high * Math.max(0, 0.75 + 0.75 * layered(x / wave, salt, salt)) * Math.exp(-(((z + far) / (0.16 * far)) ** 2)) -
        0.25,
      0.55,
    );
  const heap = (x: number, z: number, r: number): Distance => cone(x, z, -0.05, 1.15 * r, r, 0.06);
  const banks = (x: number, y: number, z: number): number => {
    const [u, w] = [Math.abs(((x + 200 + 0.35 * z) % 5.2) - 2.6), Math.abs(((z + 400) % 4.4) - 2.2)];
    return Math.max(Math.min(u, w) - 0.2, Math.abs(y) - 0.1, z - 3.5, -24 - z) * 0.9;
  };
  return {
    name: 'salt-pans',
    title: 'Ranges of hills behind the salt pans',
    aspect: 1.2,
    eye: [0, 2.6, 9],
    at: [0.4, 2.35, -10],
    view: 34,
    exposure: 0.98,
    ways: 6,
    light: { at: [74, 34, 6], size: 1.4, colour: [0.98, 0.86, 0.66] },
    sky: evening([0.74, 0.7, 0.62], [0.42, 0.49, 0.58]),
    haze: { colour: [0.66, 0.66, 0.64], over: 130 },
    things: [
      {
        name: 'pans',
        distance: floor(0),
        colour: (x, _y, z) =>
          smoothNoise(0.35 * Math.floor((x + 200 + 0.35 * z) / 5.2), Math.floor((z + 400) / 4.4), 61) > 0
            ? [0.34, 0.36, 0.36]
            : [0.22, 0.26, 0.27],
        gloss: 0.05,
      },
      { name: 'banks', distance: banks, colour: [0.16, 0.13, 0.1] },
      {
        name: 'salt heaps',
        distance: joined(
          heap(-3.1, 1.5, 0.85),
          heap(-1.5, -1.2, 0.7),
          heap(0.4, -4.2, 0.75),
          heap(5.6, -7.5, 0.8),
          heap(0.6, -9, 0.7),
        ),
        colour: [0.84, 0.83, 0.8],
      },
      {
        name: 'hut',
        distance: joined(
          block(2.6, 0.75, -2.4, 0.95, 0.75, 0.8),
          common(block(2.6, 1.5, -2.4, 1.15, 0.7, 1), (x, y) => (y - 2.2 + 0.62 * Math.abs(x - 2.6)) * 0.85),
        ),
        colour: (_x, y) => (y > 1.5 ? [0.28, 0.14, 0.1] : [0.6, 0.57, 0.5]),
        within: { at: [2.6, 1.1, -2.4], r: 1.9 },
      },
      { name: 'near hills', distance: range(42, 4.6, 63, 9), colour: [0.13, 0.15, 0.09] },
      { name: 'middle hills', distance: range(80, 10, 67, 16), colour: [0.14, 0.17, 0.14] },
      { name: 'far hills', distance: range(140, 20, 71, 26), colour: [0.16, 0.19, 0.2] },
    ],
  };
};

export const PLACES = (): readonly Scene[] => [breakwater(), stairs(), saltPans()];
