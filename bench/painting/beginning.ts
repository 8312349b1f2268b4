/** How a painting is begun: how askew its whole sits, which of its things could be moved, and its picture as fine as it is measured. */
import { between } from '@/core/raster/between';
import type { Move, Whole } from '@/devices/drawing-hand';
import type { Chance } from '@/devices/random';
import type { shapesOf } from './named-of-scene';
import type { Reference } from './references';

/** A whole that is askew as a careful student's is. */
export const wholeOf = (own: Chance): Whole => ({
  shift: { x: 0.012 * own.gauss(), y: 0.012 * own.gauss() },
  scale: { x: 1 + 0.015 * own.gauss(), y: 1 + 0.015 * own.gauss() },
  rotation: 0.8 * own.gauss(),
  shear: 0.006 * own.gauss(),
});

/** A thing before wall and table that can be moved: all of it within the picture. */
export function moveOf(named: ReturnType<typeof shapesOf>, own: Chance, asked?: number): Move | null {
  const things = [...new Set(named.map(({ shape }) => shape >> 1))].filter((thing) => {
    const parts = named.filter(({ shape }) => shape >> 1 === thing);
    const area = parts.reduce((s, p) => s + p.area, 0);
    const inside = parts.every(({ box }) => box.x > 0.06 && box.x + box.width < 0.94 && box.y + box.height < 0.94);
    return thing > 2 && inside && area > 0.01 && area < 0.15;
  });
  if (things.length === 0) return null;
  const thing = things[own.whole(0, things.length - 1)] as number;
  const [usual, way] = [own.between(0.025, 0.055), own.between(0, 2 * Math.PI)];
  const far = asked ?? usual;
  return {
    shapes: [2 * thing, 2 * thing + 1],
    dx: far * Math.cos(way),
    dy: far * Math.sin(way),
    width: own.between(0.9, 1.1),
    height: own.between(0.9, 1.1),
    slant: own.between(-5, 5),
  };
}

/** So many times finer than the rendered picture is what is measured against: thin lines are put into it. */
const SHARPER = 2;

/** L* of a picture on finer places. */
export function finely({ width, height, lightness }: Reference) {
  const plain = { width, height, data: lightness };
  const [wide, tall] = [SHARPER * width, SHARPER * height];
  const data = Float32Array.from({ length: wide * tall }, (_, i) =>
    between(plain, ((i % wide) + 0.5) / SHARPER, (Math.floor(i / wide) + 0.5) / SHARPER),
  );
  return { width: wide, height: tall, data };
}
