/** Still lifes made up by a seed and rendered: references that nothing was tuned to. */
import {
  ball,
  block,
  cone,
  type Distance,
  floor,
  joined,
  rod,
  stretched,
  turned,
  without,
} from '@/demo/render/distances';
import { render } from '@/demo/render/render';
import type { Scene, Thing, Vector } from '@/demo/render/scene';
import { PARTS } from '@/demo/render/seen';
import { type Chance, chance, smoothNoise } from '@/devices/random';

/** A body that stands at a place of the table, with what holds it whole. */
function body(own: Chance, x: number, z: number, size: number): Pick<Thing, 'distance' | 'within'> {
  const kind = own.whole(0, 5);
  const turn = own.between(0, Math.PI);
  const tall = size * own.between(1.1, 2.2);
  const at = (y: number, r: number) => ({ at: [x, y, z] as Vector, r });
  const shapes: readonly (() => { distance: Distance; y: number; r: number })[] = [
    () => ({ distance: ball(x, size, z, size), y: size, r: 1.1 * size }),
    () => {
      const squash = own.between(0.6, 1.3);
      return {
        distance: stretched(ball(x, size * squash, z, size), 1.25, squash, 1, x, size * squash, z),
        y: size,
        r: 1.6 * size,
      };
    },
    () => ({
      distance: turned(block(x, tall / 2, z, size * 0.8, tall / 2, size * 0.6, 0.05), turn, x, z),
      y: tall / 2,
      r: tall / 2 + size,
    }),
    () => ({
      distance: cone(x, z, 0, tall, size * own.between(0.55, 0.9), size * own.between(0.45, 1)),
      y: tall / 2,
      r: tall / 2 + size,
    }),
    () => ({
      distance: without(
        cone(x, z, 0, tall, 0.6 * size, size),
        cone(x, z, 0.1 * tall, 1.1 * tall, 0.5 * size, 0.92 * size),
      ),
      y: tall / 2,
      r: tall / 2 + size,
    }),
    () => ({
      distance: joined(
        ball(x, 0.8 * size, z, 0.8 * size),
        rod(x, 1.4 * size, z, x + 0.2 * size, 2.4 * size, z, 0.16 * size),
      ),
      y: 1.2 * size,
      r: 1.8 * size,
    }),
  ];
  const { distance, y, r } = (shapes[kind] as (typeof shapes)[number])();
  return { distance, within: at(y, r) };
}

const tinted = (own: Chance, level: number): Vector => {
  const t = () => level * own.between(0.75, 1.25);
  return [t(), t(), t()];
};

function patterned(own: Chance, colour: Vector): Thing['colour'] {
  const [by, fine, salt] = [own.between(0, 0.3), own.between(0.8, 4), own.whole(1, 1e6)];
  return (x, y, z) => {
    const m = 1 + by * smoothNoise(x * fine + 3 * y, z * fine + 5 * y, salt);
    return [colour[0] * m, colour[1] * m, colour[2] * m];
  };
}

/** Some bodies on a table before a wall, under one lamp from either side. */
export function sceneOf(seed: number): Scene {
  const own = chance(seed).fork('still life');
  const side = own.next() < 0.5 ? -1 : 1;
  const count = own.whole(4, 7);
  const things: Thing[] = [
    { name: 'table', distance: floor(0), colour: patterned(own, tinted(own, own.between(0.12, 0.6))) },
    { name: 'wall', distance: (_x, _y, z) => z + 3.5, colour: patterned(own, tinted(own, own.between(0.08, 0.6))) },
  ];
  for (let k = 0; k < count; k++) {
    const x = -3.4 + (6.8 * (k + own.between(0.2, 0.8))) / count;
    things.push({
      name: `body ${k + 1}`,
      ...body(own, x, own.between(-1.4, 2.2), own.between(0.4, 0.95)),
      colour: patterned(own, tinted(own, own.between(0.06, 0.8))),
      ...(own.next() < 0.3 && { gloss: own.between(0.1, 0.5) }),
    });
  }
  const grey = own.between(0.02, 0.07);
  return {
    name: `still-life-${seed}`,
    title: `Still life ${seed}`,
    aspect: 1.2,
    eye: [own.between(-0.8, 0.8), own.between(2.4, 4), 9.5],
    at: [0, own.between(0.8, 1.3), 0],
    view: 33,
    exposure: own.between(0.9, 1.2),
    ways: 4,
    light: {
      at: [side * own.between(4, 8), own.between(5, 9), own.between(2, 6)],
      size: own.between(0.3, 0.8),
      colour: [1, 0.95, 0.88],
    },
    sky: () => [grey, grey, grey],
    things,
  };
}

export interface RenderedPicture {
  readonly width: number;
  readonly height: number;
  /** sRGB codes, three a pixel. */
  readonly codes: Uint8Array;
  /** Twice the thing's number, and one more where the light does not reach it. */
  readonly shapeOf: Uint8Array;
}

const ACROSS = 480;

export function rendered(seed: number): RenderedPicture {
  const { width, height, codes, thingOf, partOf } = render(sceneOf(seed), ACROSS, { atEdges: 5, ways: 1 });
  const dark = (part: number) => PARTS[part] === 'shadow' || PARTS[part] === 'cast-shadow';
  return { width, height, codes, shapeOf: thingOf.map((thing, i) => 2 * thing + (dark(partOf[i] as number) ? 1 : 0)) };
}
