/**
 * The simulated student who draws bands without a ruler: rings and walls round a place that is a little off, ridges from
 * side to side; widths uneven, lines that waver.
 */
import { chance, smoothNoise } from './random';

export interface DrawnFrame {
  readonly xMm: number;
  readonly yMm: number;
  readonly widthMm: number;
  readonly heightMm: number;
}

export type DrawnMotif = 'glow' | 'ranges' | 'stairwell';
type Ring = (readonly [xMm: number, yMm: number])[];

const POINTS = 240;
/** How far a line strays, as a share of a band's width. */
const STRAY = 0.3;
/** Bands differ in width by so much. */
const UNEVEN = 0.25;

/** Where the bands end on the way from the first to the last, as shares of it. */
function endsOf(bands: number, seed: number): number[] {
  const own = chance(seed).fork('widths');
  const widths = Array.from({ length: bands }, () => own.between(1 - UNEVEN, 1 + UNEVEN));
  const total = widths.reduce((a, b) => a + b, 0);
  let sum = 0;
  return widths.slice(0, -1).map((w) => (sum += w) / total);
}

/**
 * Outlines in the order in which they are to be filled, each over the one before, and which band each shows (1 is the
 * lightest). `light` is the middle of what is round, as shares of the frame.
 */
export function drawByHand(
  motif: DrawnMotif,
  frame: DrawnFrame,
  light: { readonly x: number; readonly y: number },
  bands: number,
  seed: number,
): { readonly band: number; readonly ring: Ring }[] {
  const { xMm, yMm, widthMm, heightMm } = frame;
  const own = chance(seed).fork('drawing');
  const waves = own.whole(1, 1e9);
  const whole: Ring = [
    [xMm, yMm],
    [xMm + widthMm, yMm],
    [xMm + widthMm, yMm + heightMm],
    [xMm, yMm + heightMm],
  ];
  const inFrame = (x: number, y: number) =>
    [Math.min(xMm + widthMm, Math.max(xMm, x)), Math.min(yMm + heightMm, Math.max(yMm, y))] as const;
  const ends = endsOf(bands, seed);
  if (motif === 'ranges') {
    const each = heightMm / bands;
    const ridges = ends.map((end, k): Ring => [
      ...Array.from({ length: POINTS + 1 }, (_, i) => {
        const x = (i * widthMm) / POINTS;
        return inFrame(xMm + x, yMm + end * heightMm + STRAY * each * smoothNoise(x / 35, k * 4.3, waves));
      }),
      [xMm + widthMm, yMm + heightMm],
      [xMm, yMm + heightMm],
    ]);
    return [whole, ...ridges].map((ring, k) => ({ band: k + 1, ring }));
  }
  const [cx, cy] = [light.x * widthMm + 3 * own.between(-1, 1), light.y * heightMm + 3 * own.between(-1, 1)];
  const far = Math.hypot(Math.max(cx, widthMm - cx), Math.max(cy, heightMm - cy));
  const around = (end: number, k: number): Ring =>
    Array.from({ length: POINTS }, (_, i) => {
      const turn = (2 * Math.PI * i) / POINTS;
      const [dx, dy] = [Math.cos(turn), Math.sin(turn)];
      // Walls keep to the frame's own shape; rings are round, and all of them show on the way to the far corner.
      const reach =
        motif === 'glow'
          ? 0.9 * far
          : Math.min(
              (dx > 0 ? widthMm - cx : cx) / Math.abs(dx || 1e-9),
              (dy > 0 ? heightMm - cy : cy) / Math.abs(dy || 1e-9),
            );
      const off = (STRAY * reach * smoothNoise(2.2 * dx + 5, 2.2 * dy + 7 * k, waves)) / bands;
      return inFrame(xMm + cx + (end * reach + off) * dx, yMm + cy + (end * reach + off) * dy);
    });
  return [whole, ...ends.map(around).reverse()].map((ring, k) => ({ band: bands - k, ring }));
}
