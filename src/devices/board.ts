/**
 * A painted board on a table with four corner pieces laid round it by hand: each a little off its corner and a little
 * turned. One piece may be left out. A canvas that stands off the table is seen larger, from where the lens is.
 */
import { labToLinearRgb } from '@/core/colour/lab';
import { raster } from '@/core/raster/raster';
import { chance, smoothNoise } from './random';
import type { Surface } from './reflectance';

export interface CutPiece {
  readonly corner: 'top-left' | 'top-right' | 'bottom-right' | 'bottom-left';
  readonly xMm: number;
  readonly yMm: number;
  readonly widthMm: number;
  readonly heightMm: number;
  readonly innerCornerMm: { readonly x: number; readonly y: number };
}

export interface BoardPlan {
  readonly widthMm: number;
  readonly heightMm: number;
  /** Lightness of each step, left to right. */
  readonly lightness: readonly number[];
  /** Piece left out, if any. */
  readonly without: CutPiece['corner'] | null;
  /** How far pieces are laid off, mm and degrees, at the most. */
  readonly careless: number;
}

export interface BoardScene {
  readonly surface: Surface;
  readonly widthMm: number;
  readonly heightMm: number;
  /** Top-left corner of the board in the scene, mm. */
  readonly at: readonly [number, number];
  /** Lightness of each step, left to right: the mean in linear light over its inner part. */
  readonly steps: readonly {
    readonly index: number;
    readonly lightness: number;
    readonly fromMm: number;
    readonly toMm: number;
  }[];
}

const ROOM_MM = 12;
const PIECE = { wide: 95, tall: 125 } as const;
/** Samples of the scene, at the most. */
const MOST_SAMPLES = 9e6;

/** Paints a strip of unequal steps over the whole board, lays the cut pieces and the table. */
export function layBoard(printed: Surface, pieces: readonly CutPiece[], plan: BoardPlan, seed: number): BoardScene {
  const own = chance(seed).fork('board');
  const [w, h] = [plan.widthMm + 2 * (PIECE.wide + ROOM_MM), plan.heightMm + 2 * (PIECE.tall + ROOM_MM)];
  const perMm = Math.min(8, Math.sqrt(MOST_SAMPLES / (w * h)));
  const [width, height] = [Math.round(w * perMm), Math.round(h * perMm)];
  const data = new Float32Array(width * height * 3);
  const grain = own.whole(1, 1e9);
  const at = [PIECE.wide + ROOM_MM, PIECE.tall + ROOM_MM] as const;
  const [boardLeft, boardRight] = [at[0] * perMm + 2, (at[0] + plan.widthMm) * perMm - 2];
  for (let y = 0; y < height; y++) {
    const beside = y < at[1] * perMm + 2 || y > (at[1] + plan.heightMm) * perMm - 2;
    for (let x = 0; x < width; x++) {
      // What the board covers is not drawn first: a large one is most of the scene.
      if (!beside && x > boardLeft && x < boardRight) continue;
      const wood = 1 + 0.25 * smoothNoise(x / perMm / 30, y / perMm / 5, grain);
      const i = (y * width + x) * 3;
      data[i] = 0.16 * wood;
      data[i + 1] = 0.14 * wood;
      data[i + 2] = 0.12 * wood;
    }
  }
  const source = printed.reflectance;
  const sourcePerMm = printed.dpi / 25.4;
  for (const piece of pieces) {
    if (piece.corner === plan.without) continue;
    const [right, low] = [piece.corner.endsWith('right'), piece.corner.startsWith('bottom')];
    const turn = (plan.careless * own.between(-1, 1) * Math.PI) / 180;
    const corner = [
      at[0] + (right ? plan.widthMm : 0) + plan.careless * own.between(0, 0.6) * (right ? 1 : -1),
      at[1] + (low ? plan.heightMm : 0) + plan.careless * own.between(0, 0.6) * (low ? 1 : -1),
    ] as const;
    const [c, s] = [Math.cos(turn), Math.sin(turn)];
    const reach = Math.hypot(piece.widthMm, piece.heightMm);
    for (
      let y = Math.max(0, Math.floor((corner[1] - reach) * perMm));
      y < Math.min(height, (corner[1] + reach) * perMm);
      y++
    )
      for (
        let x = Math.max(0, Math.floor((corner[0] - reach) * perMm));
        x < Math.min(width, (corner[0] + reach) * perMm);
        x++
      ) {
        const [dx, dy] = [(x + 0.5) / perMm - corner[0], (y + 0.5) / perMm - corner[1]];
        const [px, py] = [piece.innerCornerMm.x + c * dx + s * dy, piece.innerCornerMm.y - s * dx + c * dy];
        if (px < piece.xMm || py < piece.yMm || px >= piece.xMm + piece.widthMm || py >= piece.yMm + piece.heightMm)
          continue;
        // Each place of the scene is the mean of the print below it.
        const span = Math.max(1, Math.round(sourcePerMm / perMm));
        const [u, v] = [Math.floor(px * sourcePerMm - span / 2 + 0.5), Math.floor(py * sourcePerMm - span / 2 + 0.5)];
        for (let k = 0; k < 3; k++) {
          let sum = 0;
          for (let b = 0; b < span; b++)
            for (let a = 0; a < span; a++)
              sum += source.data[
                (Math.min(source.height - 1, Math.max(0, v + b)) * source.width +
                  Math.min(source.width - 1, Math.max(0, u + a))) *
                  3 +
                  k
              ] as number;
          data[(y * width + x) * 3 + k] = sum / (span * span);
        }
      }
  }
  const shares = plan.lightness.map(() => own.between(0.8, 1.25));
  const total = shares.reduce((a, b) => a + b, 0);
  const brush = own.whole(1, 1e9);
  let from = 0;
  const steps = plan.lightness.map((lightness, i) => {
    const to = from + ((shares[i] ?? 1) / total) * plan.widthMm;
    const value = labToLinearRgb([lightness, 0, 0])[1];
    for (let y = Math.round(at[1] * perMm); y < Math.round((at[1] + plan.heightMm) * perMm); y++)
      for (let x = Math.round((at[0] + from) * perMm); x < Math.round((at[0] + to) * perMm); x++) {
        const stroke = 1 + 0.015 * smoothNoise(x / perMm / 3, y / perMm / 40, brush);
        data.fill(value * stroke, (y * width + x) * 3, (y * width + x) * 3 + 3);
      }
    const step = { index: i + 1, lightness, fromMm: from, toMm: to };
    from = to;
    return step;
  });
  return {
    surface: { reflectance: raster('linear', width, height, 3, data), dpi: perMm * 25.4 },
    widthMm: w,
    heightMm: h,
    at,
    steps,
  };
}
