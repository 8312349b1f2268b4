/** Still lifes of the sample world, each under one lamp. */
import { smoothNoise } from '@/devices/random';
import {
  ball,
  block,
  common,
  cone,
  type Distance,
  floor,
  joined,
  melted,
  ring,
  rod,
  stretched,
  turned,
  without,
} from './distances';
import type { Scene, Vector } from './scene';

const planks =
  (light: Vector, dark: Vector, wide: number) =>
  (x: number, _y: number, z: number): Vector => {
    const board = Math.floor(z / wide);
    const seam = Math.abs(z / wide - board - 0.5) > 0.48 ? 0.55 : 1;
    const grain = 0.5 + 0.5 * smoothNoise(x * 1.3, z * 14, 5 + board);
    return [0, 1, 2].map(
      (c) => seam * ((light[c] as number) * (1 - 0.35 * grain) + (dark[c] as number) * 0.35 * grain),
    ) as unknown as Vector;
  };
const mottled =
  (colour: Vector, by: number, fine: number, salt: number) =>
  (x: number, y: number, z: number): Vector => {
    const m = 1 + by * smoothNoise(x * fine + 7 * y, z * fine + 11 * y, salt);
    return [colour[0] * m, colour[1] * m, colour[2] * m];
  };
const dim = (level: number) => (): Vector => [level, level, 1.08 * level];

/** A flowerpot with a rim, standing on a height. */
const pot = (cx: number, cz: number, y: number, r: number, h: number): Distance =>
  without(
    joined(cone(cx, cz, y, y + h, 0.68 * r, r), cone(cx, cz, y + 0.76 * h, y + h, 1.1 * r, 1.13 * r)),
    cone(cx, cz, y + 0.15 * h, y + 1.12 * h, 0.6 * r, 0.95 * r),
  );

const leaves = (cx: number, y: number, cz: number, r: number, salt: number): Distance => {
  const blobs = Array.from({ length: 11 }, (_, k) => {
    const turn = k * 2.4;
    const rise = 0.25 + 0.75 * ((k * 0.618) % 1);
    const out = r * 0.75 * Math.sqrt(1 - (rise - 0.5) ** 2);
    return stretched(
      ball(
        cx + out * Math.cos(turn),
        y + r * 1.5 * rise,
        cz + out * Math.sin(turn),
        r * (0.42 + 0.1 * smoothNoise(k, 3, salt)),
      ),
      1.15,
      0.7,
      1,
      cx + out * Math.cos(turn),
      y + r * 1.5 * rise,
      cz + out * Math.sin(turn),
    );
  });
  return melted(0.12 * r, ...blobs);
};

const bench = (): Scene => {
  const can = joined(
    without(cone(0, 0, 0, 1.5, 0.95, 0.8), cone(0, 0, 0.2, 1.7, 0.82, 0.72)),
    rod(0.8, 0.35, 0.1, 2.15, 1.7, 0.25, 0.17, 0.09),
    turned(cone(2.2, 0.26, 1.62, 1.92, 0.1, 0.3), 0, 2.2, 0.26),
    common(ring(-0.15, 1.35, 0, 0.92, 0.075, 'z'), block(-0.15, 2, 0, 1.4, 0.75, 0.4)),
    common(ring(-0.85, 0.85, 0, 0.55, 0.07, 'z'), block(-1.5, 0.85, 0, 0.68, 0.9, 0.4)),
  );
  return {
    name: 'greenhouse-bench',
    title: 'Greenhouse bench with watering can and flowerpots',
    aspect: 1.2,
    eye: [0.5, 3.1, 9.6],
    at: [0.05, 1.3, 0],
    view: 33,
    exposure: 1.05,
    ways: 6,
    light: { at: [-7, 8.5, 5.5], size: 0.55, colour: [0.98, 0.93, 0.84] },
    sky: dim(0.055),
    things: [
      { name: 'bench', distance: floor(0), colour: planks([0.5, 0.38, 0.26], [0.3, 0.2, 0.13], 0.9) },
      { name: 'wall', distance: (_x, _y, z) => z + 3.6, colour: mottled([0.42, 0.43, 0.4], 0.14, 0.8, 9) },
      {
        name: 'watering can',
        distance: can,
        colour: [0.32, 0.4, 0.43],
        gloss: 0.35,
        within: { at: [0.4, 1, 0], r: 2.6 },
      },
      {
        name: 'large pot',
        distance: pot(-2.45, -0.7, 0, 0.98, 1.7),
        colour: mottled([0.52, 0.24, 0.14], 0.12, 2.2, 3),
        within: { at: [-2.45, 0.9, -0.7], r: 1.7 },
      },
      {
        name: 'plant',
        distance: leaves(-2.45, 1.55, -0.7, 1, 4),
        colour: mottled([0.13, 0.24, 0.08], 0.25, 2, 6),
        within: { at: [-2.45, 2.3, -0.7], r: 1.9 },
      },
      {
        name: 'small pot',
        distance: pot(2.75, -0.9, 0, 0.62, 1.05),
        colour: mottled([0.6, 0.31, 0.19], 0.1, 2.4, 8),
        within: { at: [2.75, 0.55, -0.9], r: 1.15 },
      },
      {
        name: 'fallen pot',
        distance: (x, y, z) =>
          pot(
            0,
            0,
            0,
            0.55,
            0.95,
          )(y - 0.55 * 0.98, 0.4 + (x + 0.9) * 0.78 + (z - 1.9) * 0.62, -(x + 0.9) * 0.62 + (z - 1.9) * 0.78),
        colour: mottled([0.55, 0.27, 0.16], 0.1, 2.4, 12),
        within: { at: [-0.9, 0.55, 1.9], r: 1.5 },
      },
    ],
  };
};

const jug = (): Scene => {
  const body = without(
    joined(
      melted(0.25, stretched(ball(0, 1, 0, 1), 1, 1.02, 1, 0, 1, 0), cone(0, 0, 1.6, 2.55, 0.55, 0.62)),
      common(ring(0.72, 1.65, 0, 0.62, 0.1, 'z'), block(1.4, 1.65, 0, 0.85, 0.9, 0.5)),
      cone(0, 0, 0.02, 0.18, 0.7, 0.6),
    ),
    cone(0, 0, 1.9, 2.8, 0.42, 0.53),
  );
  const egg = (cx: number, cz: number, lean: number): Distance =>
    turned(stretched(ball(cx, 0.34, cz, 0.34), 1.3, 1, 1, cx, 0.34, cz), lean, cx, cz);
  const loaf = without(
    turned(
      melted(
        0.1,
        stretched(ball(-2.1, 0.55, 0.5, 0.62), 1.75, 0.98, 1.05, -2.1, 0.55, 0.5),
        block(-2.1, 0.3, 0.5, 0.85, 0.25, 0.45, 0.2),
      ),
      0.35,
      -2.1,
      0.5,
    ),
    joined(...[-0.6, 0, 0.6].map((d) => rod(-2.5 + d, 1.2, 0.9, -1.9 + d, 1.26, 0, 0.09))),
  );
  const fold = (x: number, z: number) =>
    0.05 + 0.07 * Math.sin(1.7 * x + 0.7 * z) * Math.max(0, Math.min(1, 1.6 - Math.abs(x) * 0.5));
  const cloth: Distance = (x, y, z) =>
    Math.max((y - fold(x, z)) * 0.8, Math.abs(x + 0.4) - 3.4, Math.abs(z - 0.6) - 1.5, -0.2 - y);
  return {
    name: 'jug-and-eggs',
    title: 'Jug, loaf and three eggs on a cloth',
    aspect: 1.25,
    eye: [0.2, 2.9, 9],
    at: [-0.1, 1.05, 0],
    view: 31,
    exposure: 1.1,
    ways: 6,
    light: { at: [6.4, 6.6, 4.2], size: 0.45, colour: [0.96, 0.92, 0.85] },
    sky: dim(0.035),
    things: [
      { name: 'table', distance: floor(-0.02), colour: planks([0.24, 0.15, 0.09], [0.13, 0.08, 0.05], 1.4) },
      { name: 'wall', distance: (_x, _y, z) => z + 4, colour: mottled([0.17, 0.17, 0.18], 0.2, 0.7, 31) },
      { name: 'cloth', distance: cloth, colour: [0.74, 0.73, 0.7] },
      {
        name: 'jug',
        distance: (x, y, z) => body(x - 0.5, y - 0.1, z + 0.35),
        colour: [0.25, 0.32, 0.42],
        gloss: 0.55,
        within: { at: [0.7, 1.4, -0.35], r: 2.1 },
      },
      {
        name: 'loaf',
        distance: loaf,
        colour: mottled([0.52, 0.3, 0.13], 0.22, 3, 33),
        within: { at: [-2.1, 0.6, 0.5], r: 1.6 },
      },
      {
        name: 'eggs',
        distance: joined(
          (x, y, z) => egg(1.75, 1, 0.4)(x, y - 0.08, z),
          (x, y, z) => egg(2.45, 0.55, -0.9)(x, y - 0.06, z),
          (x, y, z) => egg(0.75, 1.55, 1.7)(x, y - 0.1, z),
        ),
        colour: [0.78, 0.7, 0.6],
        gloss: 0.08,
        within: { at: [1.6, 0.4, 1], r: 1.6 },
      },
    ],
  };
};

const loft = (): Scene => {
  const floatOf = (cx: number, cy: number, cz: number, r: number): Distance =>
    joined(
      ball(cx, cy, cz, r),
      cone(cx, cz, cy + 0.85 * r, cy + 1.25 * r, 0.22 * r, 0.16 * r),
      ring(cx, cy + 1.35 * r, cz, 0.16 * r, 0.05 * r, 'z'),
    );
  const slats = joined(
    ...[0.22, 0.66, 1.1].flatMap((y) => [
      block(1.75, y, 0.85, 1.1, 0.16, 0.05, 0.02),
      block(1.75, y, -0.85, 1.1, 0.16, 0.05, 0.02),
      block(0.65, y, 0, 0.05, 0.16, 0.85, 0.02),
      block(2.85, y, 0, 0.05, 0.16, 0.85, 0.02),
    ]),
    ...[0.72, 2.78].flatMap((x) => [block(x, 0.66, 0.76, 0.08, 0.66, 0.08), block(x, 0.66, -0.76, 0.08, 0.66, 0.08)]),
    block(1.75, 0.1, 0, 1.05, 0.05, 0.8),
  );
  const coil = joined(
    ...Array.from({ length: 5 }, (_, k) =>
      ring(-0.5 + 0.03 * k, 0.12 + 0.21 * k, 1.35 - 0.04 * k, 0.72 - 0.03 * (k % 2), 0.13, 'y'),
    ),
    rod(-1.15, 0.12, 1.7, -2.2, 0.11, 2.4, 0.12),
  );
  return {
    name: 'net-loft',
    title: 'Net loft: floats, a crate and a coil of rope',
    aspect: 1.2,
    eye: [-0.4, 3.4, 8.6],
    at: [-0.05, 0.95, 0],
    view: 31,
    exposure: 1,
    ways: 6,
    light: { at: [-6.2, 7.4, 6.4], size: 0.5, colour: [0.97, 0.94, 0.88] },
    sky: dim(0.05),
    things: [
      { name: 'boards', distance: floor(0), colour: planks([0.34, 0.29, 0.23], [0.2, 0.16, 0.12], 1.1) },
      {
        name: 'wall',
        distance: (_x, _y, z) => z + 3.2,
        colour: (x, y, z) => planks([0.5, 0.48, 0.43], [0.36, 0.34, 0.3], 1)(y, z, x),
      },
      {
        name: 'large float',
        distance: floatOf(-2.15, 1.1, -0.8, 1.1),
        colour: [0.62, 0.2, 0.1],
        gloss: 0.3,
        within: { at: [-2.15, 1.4, -0.8], r: 1.9 },
      },
      {
        name: 'small float',
        distance: floatOf(-0.45, 0.62, -0.35, 0.62),
        colour: [0.68, 0.64, 0.55],
        gloss: 0.2,
        within: { at: [-0.45, 0.8, -0.35], r: 1.2 },
      },
      {
        name: 'crate',
        distance: turned(slats, 0.42, 1.75, 0),
        colour: mottled([0.46, 0.34, 0.21], 0.2, 3, 41),
        within: { at: [1.75, 0.66, 0], r: 1.75 },
      },
      {
        name: 'float in the crate',
        distance: floatOf(1.6, 1.25, -0.05, 0.7),
        colour: [0.14, 0.16, 0.18],
        gloss: 0.4,
        within: { at: [1.6, 1.5, -0.05], r: 1.3 },
      },
      {
        name: 'rope',
        distance: coil,
        colour: (x, y, z) => mottled([0.55, 0.47, 0.31], 0.3, 1, 43)(9 * x, 3 * y, 9 * z),
        within: { at: [-1, 0.5, 1.6], r: 2 },
      },
    ],
  };
};

export const STILL_LIFES = (): readonly Scene[] => [bench(), jug(), loft()];
