/**
 * The simulated student who paints a picture in few flat tones: outlines stray with the hand, shapes may be flipped on
 * purpose or by mistake, a tone may be too near to its neighbour. Paints the frame of a printed surface; what was painted
 * where is the truth.
 */
import { labToLinearRgb } from '@/core/colour/lab';
import { raster } from '@/core/raster/raster';
import { chance, smoothNoise } from './random';
import type { Surface } from './reflectance';

export interface ToneMap {
  readonly width: number;
  readonly height: number;
  /** Tone of each place, 1 the lightest. */
  readonly toneOf: Uint8Array;
}

export interface NotanPlan {
  /** Lightness (L*) in which each tone is painted, tone 1 first. */
  readonly lightness: readonly number[];
  /** How far outlines stray, as a share of the frame's width. */
  readonly ragged: number;
  /** By how much the whole picture is shifted, as shares of the frame. */
  readonly shift: { readonly x: number; readonly y: number };
  /** Strength of strokes, L*. */
  readonly streaks: number;
  /** Width (mm) and lightness of a frame that is painted round the picture; null for none. */
  readonly frame: { readonly mm: number; readonly lightness: number } | null;
}

export interface PaintedFrameMm {
  readonly xMm: number;
  readonly yMm: number;
  readonly widthMm: number;
  readonly heightMm: number;
}

/** Paints a copy of the surface. `painted` tells the tone that each place of the map's grid got. */
export function paintTones(
  printed: Surface,
  frame: PaintedFrameMm,
  map: ToneMap,
  plan: NotanPlan,
  seed: number,
): { readonly surface: Surface; readonly painted: ToneMap } {
  const { width, height } = printed.reflectance;
  const data = Float32Array.from(printed.reflectance.data);
  const perMm = printed.dpi / 25.4;
  const own = chance(seed).fork('notan');
  const [strayX, strayY, strokes] = [own.whole(1, 1e9), own.whole(1, 1e9), own.whole(1, 1e9)];
  const edge = plan.frame?.mm ?? 0;
  /** Tone at a place inside what is painted, shares of it. */
  const toneAt = (u: number, v: number): number => {
    const [fine, coarse] = [90, 24];
    const stray = (salt: number) =>
      plan.ragged * (0.6 * smoothNoise(u * fine, v * fine, salt) + 0.8 * smoothNoise(u * coarse, v * coarse, salt + 1));
    const [x, y] = [u - plan.shift.x + stray(strayX), v - plan.shift.y + stray(strayY)];
    const c = Math.min(map.width - 1, Math.max(0, Math.floor(x * map.width)));
    const r = Math.min(map.height - 1, Math.max(0, Math.floor(y * map.height)));
    return map.toneOf[r * map.width + c] as number;
  };
  const [w, h] = [frame.widthMm - 2 * edge, frame.heightMm - 2 * edge];
  for (
    let py = Math.round(frame.yMm * perMm);
    py < Math.min(height, Math.round((frame.yMm + frame.heightMm) * perMm));
    py++
  )
    for (
      let px = Math.round(frame.xMm * perMm);
      px < Math.min(width, Math.round((frame.xMm + frame.widthMm) * perMm));
      px++
    ) {
      const [x, y] = [(px + 0.5) / perMm - frame.xMm - edge, (py + 0.5) / perMm - frame.yMm - edge];
      const inside = x >= 0 && y >= 0 && x < w && y < h;
      const value = inside ? (plan.lightness[toneAt(x / w, y / h) - 1] ?? 50) : (plan.frame?.lightness ?? 50);
      const stroke = smoothNoise(x / 1.3, y / 14, strokes);
      data.fill(
        labToLinearRgb([value + (0.5 + plan.streaks) * stroke, 0, 0])[1],
        (py * width + px) * 3,
        (py * width + px) * 3 + 3,
      );
    }
  const painted = {
    ...map,
    toneOf: map.toneOf.map((_, i) =>
      toneAt(((i % map.width) + 0.5) / map.width, (Math.floor(i / map.width) + 0.5) / map.height),
    ),
  };
  return { surface: { reflectance: raster('linear', width, height, 3, data), dpi: printed.dpi }, painted };
}
