import { BRUSH_MM } from './supplies';

/** Flat brushes for shapes of these widths (mm), large to small: each about half as wide as what it fills. */
export function brushesFor(widthsMm: readonly number[]): number[] {
  const fitting = widthsMm.map((w) => [...BRUSH_MM].reverse().find((b) => b <= Math.max(4, 0.55 * w)) ?? 4);
  return [...new Set(fitting)].sort((a, b) => b - a);
}
