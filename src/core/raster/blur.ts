/** Smoothing kernels in linear light. */

/** Weights of a Gaussian from its middle outwards; with both sides they add up to 1. */
function halfKernel(sigma: number): Float64Array {
  const radius = Math.ceil(3 * sigma);
  const half = Float64Array.from({ length: radius + 1 }, (_, i) => Math.exp(-(i * i) / (2 * sigma * sigma)));
  const total = half.reduce((s, w, i) => s + (i === 0 ? w : 2 * w), 0);
  return half.map((w) => w / total);
}

/** Gaussian blur of a plane of linear light, edges repeated. Returns a new plane. Both sides of the kernel are alike, which halves the work. */
export function gaussianBlur(plane: Float32Array, width: number, height: number, sigma: number): Float32Array {
  const kernel = halfKernel(sigma);
  const radius = kernel.length - 1;
  const middle = kernel[0] as number;
  const rows = new Float32Array(plane.length);
  const padded = new Float32Array(width + 2 * radius);
  for (let y = 0; y < height; y++) {
    const from = y * width;
    padded.fill(plane[from] as number, 0, radius);
    padded.set(plane.subarray(from, from + width), radius);
    padded.fill(plane[from + width - 1] as number, radius + width);
    for (let x = 0; x < width; x++) {
      const at = x + radius;
      let s = middle * (padded[at] as number);
      for (let k = 1; k <= radius; k++) s += (kernel[k] as number) * ((padded[at - k] as number) + (padded[at + k] as number));
      rows[from + x] = s;
    }
  }
  const out = new Float32Array(plane.length);
  const line = new Float64Array(width);
  for (let y = 0; y < height; y++) {
    const here = y * width;
    for (let x = 0; x < width; x++) line[x] = middle * (rows[here + x] as number);
    for (let k = 1; k <= radius; k++) {
      const above = Math.max(0, y - k) * width;
      const below = Math.min(height - 1, y + k) * width;
      const weight = kernel[k] as number;
      for (let x = 0; x < width; x++) line[x] = (line[x] as number) + weight * ((rows[above + x] as number) + (rows[below + x] as number));
    }
    out.set(line, here);
  }
  return out;
}

/** Odd widths of three running means whose joint variance is nearest to `sigma` squared (P. Kovesi, "Fast almost-Gaussian filtering", DICTA 2010). */
function threeWidths(sigma: number): number[] {
  const ideal = Math.sqrt(4 * sigma * sigma + 1);
  const low = Math.max(1, Math.floor(ideal) - (Math.floor(ideal) % 2 === 0 ? 1 : 0));
  const lows = Math.round((12 * sigma * sigma - 3 * low * low - 12 * low - 9) / (-4 * low - 4));
  return [0, 1, 2].map((k) => (k < lows ? low : low + 2));
}

/** Running mean along lines of a plane: `step` from place to place, `stride` from line to line. Edges repeat. */
function runningMean(from: Float32Array, to: Float32Array, places: number, step: number, lines: number, stride: number, wide: number): void {
  const r = (wide - 1) / 2;
  for (let line = 0; line < lines; line++) {
    const start = line * stride;
    const last = start + (places - 1) * step;
    const [first, end] = [from[start] as number, from[last] as number];
    let sum = first * r;
    for (let k = 0; k <= r; k++) sum += k < places ? (from[start + k * step] as number) : end;
    for (let k = 0; k < places; k++) {
      to[start + k * step] = sum / wide;
      sum += (k + r + 1 < places ? (from[start + (k + r + 1) * step] as number) : end) - (k - r >= 0 ? (from[start + (k - r) * step] as number) : first);
    }
  }
}

/** Nearly a Gaussian blur, in time that does not grow with `sigma`: for what follows a finger, and where the shape of the kernel does not matter. */
export function quickBlur(plane: Float32Array, width: number, height: number, sigma: number): Float32Array {
  if (sigma < 0.4) return plane;
  const [now, other] = [Float32Array.from(plane), new Float32Array(plane.length)];
  for (const wide of threeWidths(sigma)) {
    if (wide === 1) continue;
    runningMean(now, other, width, 1, height, width, wide);
    runningMean(other, now, height, width, width, 1, wide);
  }
  return now;
}

/** Means over squares of `factor` samples; what is left over at the right and below is dropped. */
export function blockMeans(
  plane: Float32Array,
  width: number,
  height: number,
  factor: number,
): { data: Float32Array; width: number; height: number } {
  const w = Math.floor(width / factor);
  const h = Math.floor(height / factor);
  const data = new Float32Array(w * h);
  for (let y = 0; y < h * factor; y++)
    for (let x = 0; x < w * factor; x++) {
      const i = Math.floor(y / factor) * w + Math.floor(x / factor);
      data[i] = (data[i] as number) + (plane[y * width + x] as number);
    }
  for (let i = 0; i < data.length; i++) data[i] = (data[i] as number) / (factor * factor);
  return { data, width: w, height: h };
}
