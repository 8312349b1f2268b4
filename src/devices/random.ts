/** Seeded chance for the simulated devices: the same seed gives the same print, paint and photograph. */
export interface Chance {
  /** Uniform in 0 to 1. */
  next(): number;
  between(low: number, high: number): number;
  whole(low: number, high: number): number;
  gauss(): number;
  /** A generator of its own, so that drawing more here changes nothing there. */
  fork(label: string): Chance;
}

function hashText(text: string, seed: number): number {
  let h = seed ^ 0x9e3779b9;
  for (let i = 0; i < text.length; i++) h = Math.imul(h ^ text.charCodeAt(i), 0x85ebca6b) ^ (h >>> 13);
  return h >>> 0;
}

export function chance(seed: number): Chance {
  let state = (seed ^ 0x6d2b79f5) >>> 0;
  const next = () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = state;
    t = Math.imul(t ^ (t >>> 15), t | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
  return {
    next,
    between: (low, high) => low + (high - low) * next(),
    whole: (low, high) => low + Math.floor((high - low + 1) * next()),
    gauss: () => Math.sqrt(-2 * Math.log(1 - next())) * Math.cos(2 * Math.PI * next()),
    fork: (label) => chance(hashText(label, seed)),
  };
}

function lattice(ix: number, iy: number, seed: number): number {
  let h = (Math.imul(ix, 0x27d4eb2d) ^ Math.imul(iy, 0x165667b1) ^ seed) >>> 0;
  h = Math.imul(h ^ (h >>> 15), 0x2c1b3c6d);
  h = Math.imul(h ^ (h >>> 12), 0x297a2d39);
  return ((h ^ (h >>> 15)) >>> 0) / 2147483648 - 1;
}

/** Smooth noise in -1 to 1 with features about one unit large; a function of place and seed only. */
export function smoothNoise(x: number, y: number, seed: number): number {
  const ix = Math.floor(x);
  const iy = Math.floor(y);
  const fx = x - ix;
  const fy = y - iy;
  const sx = fx * fx * (3 - 2 * fx);
  const sy = fy * fy * (3 - 2 * fy);
  const top = lattice(ix, iy, seed) * (1 - sx) + lattice(ix + 1, iy, seed) * sx;
  const bottom = lattice(ix, iy + 1, seed) * (1 - sx) + lattice(ix + 1, iy + 1, seed) * sx;
  return top * (1 - sy) + bottom * sy;
}
