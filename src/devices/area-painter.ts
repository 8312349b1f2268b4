/** The simulated student filling outlined shapes with flat tones: the hand wavers, strokes show a little. */
import { labToLinearRgb } from '@/core/colour/lab';
import { raster } from '@/core/raster/raster';
import { chance, smoothNoise } from './random';
import type { Surface } from './reflectance';

export interface PaintedArea {
  /** Closed rings in mm on the sheet, filled by the even-odd rule; later areas cover earlier ones. */
  readonly rings: readonly (readonly (readonly [xMm: number, yMm: number])[])[];
  readonly lightness: number;
  /** Its colour, a* and b*; grey where nothing is said. */
  readonly colour?: readonly [a: number, b: number];
  /** How far the hand wavers off the outline, mm. */
  readonly waver: number;
  /** Strength of strokes, L*. */
  readonly streaks: number;
}

/** Paints a copy of the printed surface. */
export function paintAreas(printed: Surface, areas: readonly PaintedArea[], seed: number): Surface {
  const { width, height } = printed.reflectance;
  const data = Float32Array.from(printed.reflectance.data);
  const perMm = printed.dpi / 25.4;
  areas.forEach((area, n) => {
    const own = chance(seed).fork(`area ${n}`);
    const [waverX, waverY, strokes] = [own.whole(1, 1e9), own.whole(1, 1e9), own.whole(1, 1e9)];
    const ys = area.rings.flat().map(([, y]) => y);
    const [y0, y1] = [
      Math.max(0, Math.floor((Math.min(...ys) - area.waver) * perMm)),
      Math.min(height - 1, Math.ceil((Math.max(...ys) + area.waver) * perMm)),
    ];
    for (let py = y0; py <= y1; py++) {
      const yMm = (py + 0.5) / perMm;
      const shift = area.waver * smoothNoise(yMm / 6, n * 3.1, waverX);
      const line = yMm + 0.5 * area.waver * smoothNoise(yMm / 9, n * 5.7, waverY);
      const crossings: number[] = [];
      for (const ring of area.rings)
        ring.forEach(([xa, ya], i) => {
          const [xb, yb] = ring[(i + 1) % ring.length] as readonly [number, number];
          if (ya > line !== yb > line) crossings.push(xa + ((line - ya) / (yb - ya)) * (xb - xa) + shift);
        });
      crossings.sort((a, b) => a - b);
      for (let k = 0; k + 1 < crossings.length; k += 2)
        for (
          let px = Math.max(0, Math.round((crossings[k] as number) * perMm));
          px < Math.min(width, (crossings[k + 1] as number) * perMm);
          px++
        ) {
          const stroke = smoothNoise(px / perMm / 1.3, yMm / 12, strokes);
          const [a, b] = area.colour ?? [0, 0];
          data.set(labToLinearRgb([area.lightness + (0.6 + area.streaks) * stroke, a, b]), (py * width + px) * 3);
        }
    }
  });
  return { reflectance: raster('linear', width, height, 3, data), dpi: printed.dpi };
}
