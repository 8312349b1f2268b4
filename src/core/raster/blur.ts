/** Smoothing kernels in linear light. */

/** Gaussian blur of a plane of linear light, edges repeated. Returns a new plane. */
export function gaussianBlur(plane: Float32Array, width: number, height: number, sigma: number): Float32Array {
  const radius = Math.ceil(3 * sigma);
  const taps = 2 * radius + 1;
  const kernel = new Float64Array(taps);
  let total = 0;
  for (let i = 0; i < taps; i++) total += kernel[i] = Math.exp(-((i - radius) ** 2) / (2 * sigma * sigma));
  for (let i = 0; i < taps; i++) kernel[i] = (kernel[i] as number) / total;
  const rows = new Float32Array(plane.length);
  const padded = new Float64Array(width + 2 * radius);
  for (let y = 0; y < height; y++) {
    const from = y * width;
    padded.fill(plane[from] as number, 0, radius);
    for (let x = 0; x < width; x++) padded[radius + x] = plane[from + x] as number;
    padded.fill(plane[from + width - 1] as number, radius + width);
    for (let x = 0; x < width; x++) {
      let s = 0;
      for (let k = 0; k < taps; k++) s += (kernel[k] as number) * (padded[x + k] as number);
      rows[from + x] = s;
    }
  }
  const out = new Float32Array(plane.length);
  const line = new Float64Array(width);
  for (let y = 0; y < height; y++) {
    line.fill(0);
    for (let k = -radius; k <= radius; k++) {
      const from = Math.min(height - 1, Math.max(0, y + k)) * width;
      const weight = kernel[k + radius] as number;
      for (let x = 0; x < width; x++) line[x] = (line[x] as number) + weight * (rows[from + x] as number);
    }
    out.set(line, y * width);
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
