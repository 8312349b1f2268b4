/** The form of a sheet that dried in waves. */
import type { Ripple } from './shot';

/** Height (mm) and slope at a place: ripples both ways, unequal. */
export function waves({ heightMm, lengthMm, phase }: Ripple) {
  const k1 = (2 * Math.PI) / lengthMm;
  const k2 = (2 * Math.PI) / (1.37 * lengthMm);
  return (x: number, y: number) => {
    const [p, q] = [k1 * (y + 0.3 * x) + phase, k2 * (x - 0.2 * y) + 1.7 * phase];
    const [dp, dq] = [0.7 * Math.cos(p) * k1, 0.5 * Math.cos(q) * k2];
    return {
      height: heightMm * (0.7 * Math.sin(p) + 0.5 * Math.sin(q)),
      slopeX: heightMm * (0.3 * dp + dq),
      slopeY: heightMm * (dp - 0.2 * dq),
    };
  };
}
