/** sRGB codes of linear light from a table, for what follows a hand: finer than eight bits on the dark side too. */
import { linearToCode } from './srgb';

const STEPS = 4096;
const CODES = Uint8Array.from({ length: STEPS + 1 }, (_, i) => linearToCode((i / STEPS) ** 2));

/** The 8-bit code (0 to 255, clamped) of a linear channel; at most one off `linearToCode`. */
export const quickCode = (y: number): number =>
  CODES[Math.round(Math.sqrt(Math.min(1, Math.max(0, y))) * STEPS)] as number;
