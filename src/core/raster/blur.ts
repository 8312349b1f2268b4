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
