/** Small shapes dissolved: each goes to the tone that most of its outline touches, the smallest first. */
import { toneShapes } from './tones';

/** Tones without shapes of fewer than `least` places. Where there is nothing larger all stays as it is. */
export function dissolved(toneOf: Uint8Array, width: number, least: number): Uint8Array {
  if (least <= 1) return toneOf;
  let now = toneOf;
  // A shape that was dissolved may join two others, which are then one and larger: a few rounds settle it.
  for (let round = 0; round < 4; round++) {
    const { shapes, shapeOf } = toneShapes(now, width);
    const small = shapes.findIndex((s) => s.places < least);
    if (small <= 0) return now;
    const beside = Array.from({ length: shapes.length - small }, () => new Map<number, number>());
    const touch = (i: number, k: number) => {
      const s = shapeOf[i] as number;
      if (s < small || shapeOf[k] === undefined || shapeOf[k] === s) return;
      const tone = now[k] as number;
      // What is large counts for more: specks beside a speck are no reason.
      const by = (shapeOf[k] as number) < small ? 1 : 0.01;
      const own = beside[s - small] as Map<number, number>;
      own.set(tone, (own.get(tone) ?? 0) + by);
    };
    for (let i = 0; i < now.length; i++) {
      if ((shapeOf[i] as number) < small) continue;
      const x = i % width;
      if (x > 0) touch(i, i - 1);
      if (x + 1 < width) touch(i, i + 1);
      touch(i, i - width);
      touch(i, i + width);
    }
    const best = beside.map((own, k) =>
      [...own].reduce((most, e) => (e[1] > most[1] ? e : most), [
        (shapes[small + k] as (typeof shapes)[number]).tone,
        0,
      ] as [number, number]),
    );
    const into = best.map(([tone]) => tone);
    const next = Uint8Array.from(now);
    for (let i = 0; i < next.length; i++)
      if ((shapeOf[i] as number) >= small) next[i] = into[(shapeOf[i] as number) - small] as number;
    now = next;
    // Whatever went to something large is settled; only specks among specks need another look.
    if (best.every(([, weight]) => weight >= 1)) return now;
  }
  return now;
}
