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
      for (let k = 1; k <= radius; k++)
        s += (kernel[k] as number) * ((padded[at - k] as number) + (padded[at + k] as number));
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
      for (let x = 0; x < width; x++)
        line[x] = (line[x] as number) + weight * ((rows[above + x] as number) + (rows[below + x] as number));
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

/** Running mean along the rows of a plane. Edges repeat. */
function meanAlongRows(from: Float32Array, to: Float32Array, width: number, height: number, wide: number): void {
  const r = (wide - 1) / 2;
  for (let start = 0; start < width * height; start += width) {
    const last = start + width - 1;
    const [first, end] = [from[start] as number, from[last] as number];
    let sum = first * r;
    for (let k = 0; k <= r; k++) sum += k < width ? (from[start + k] as number) : end;
    for (let k = 0; k < width; k++) {
      to[start + k] = sum / wide;
      sum +=
        (k + r + 1 < width ? (from[start + k + r + 1] as number) : end) -
        (k - r >= 0 ? (from[start + k - r] as number) : first);
    }
  }
}

/** The same down the columns, a row at a time: going down each column alone costs five times as much. */
function meanDownColumns(from: Float32Array, to: Float32Array, width: number, height: number, wide: number): void {
  const r = (wide - 1) / 2;
  const row = (y: number) => Math.min(height - 1, Math.max(0, y)) * width;
  const sums = new Float64Array(width);
  for (let k = -r; k <= r; k++)
    for (let x = 0, at = row(k); x < width; x++) sums[x] = (sums[x] as number) + (from[at + x] as number);
  for (let y = 0; y < height; y++) {
    const [here, comes, goes] = [y * width, row(y + r + 1), row(y - r)];
    for (let x = 0; x < width; x++) {
      to[here + x] = (sums[x] as number) / wide;
      sums[x] = (sums[x] as number) + (from[comes + x] as number) - (from[goes + x] as number);
    }
  }
}

/** Nearly a Gaussian blur, in time that does not grow with `sigma`: for what follows a finger, and where the shape of the kernel does not matter. */
export function quickBlur(plane: Float32Array, width: number, height: number, sigma: number): Float32Array {
  if (sigma < 0.4) return plane;
  // Three means are too few to be told from a narrow Gaussian, which costs little.
  if (sigma < 2) return gaussianBlur(plane, width, height, sigma);
  const [now, other] = [Float32Array.from(plane), new Float32Array(plane.length)];
  for (const wide of threeWidths(sigma)) {
    if (wide === 1) continue;
    meanAlongRows(now, other, width, height, wide);
    meanDownColumns(other, now, width, height, wide);
  }
  return now;
}

/** A plane of means, drawn out to its old size between the middles of its squares. */
function drawnOut(
  small: Float32Array,
  w: number,
  h: number,
  factor: number,
  width: number,
  height: number,
): Float32Array {
  const out = new Float32Array(width * height);
  const at = (v: number, of: number) => {
    const u = Math.min(of - 1, Math.max(0, (v + 0.5) / factor - 0.5));
    const k = Math.min(Math.max(0, of - 2), Math.floor(u));
    return { k, next: Math.min(of - 1, k + 1), part: u - k };
  };
  const [from, to, parts] = [new Int32Array(width), new Int32Array(width), new Float32Array(width)];
  for (let x = 0; x < width; x++) {
    const { k, next, part } = at(x, w);
    from[x] = k;
    to[x] = next;
    parts[x] = part;
  }
  const line = new Float32Array(w);
  for (let y = 0; y < height; y++) {
    const { k, next, part } = at(y, h);
    for (let x = 0, top = k * w, bottom = next * w; x < w; x++, top++, bottom++)
      line[x] = (1 - part) * (small[top] as number) + part * (small[bottom] as number);
    for (let x = 0, i = y * width; x < width; x++, i++) {
      const own = parts[x] as number;
      out[i] = (1 - own) * (line[from[x] as number] as number) + own * (line[to[x] as number] as number);
    }
  }
  return out;
}

/** Means over squares of `factor` places; the last of a row and of a column hold what is left. */
function squareMeans(plane: Float32Array, width: number, height: number, factor: number, w: number, h: number) {
  const small = new Float32Array(w * h);
  for (let y = 0; y < height; y++)
    for (let k = 0, i = y * width, to = Math.floor(y / factor) * w; k < w; k++, to++) {
      const end = Math.min((y + 1) * width, i + factor);
      let sum = 0;
      for (; i < end; i++) sum += plane[i] as number;
      small[to] = (small[to] as number) + sum;
    }
  const last = (of: number, count: number) => of - (count - 1) * factor;
  for (let y = 0; y < h; y++)
    for (let x = 0; x < w; x++) {
      const places = (x < w - 1 ? factor : last(width, w)) * (y < h - 1 ? factor : last(height, h));
      small[y * w + x] = (small[y * w + x] as number) / places;
    }
  return small;
}

/** From this sigma on, pixels, a Gaussian leaves nothing that a smaller picture could not hold. */
const WIDE_FROM = 4;

/**
 * A Gaussian blur, wide ones on a smaller picture: means over squares take a part of the blur (their variance), drawing them
 * out again another (that of a tent), and the kernel makes up the rest. Within 0.003 of the whole range of `gaussianBlur`.
 */
export function wideBlur(plane: Float32Array, width: number, height: number, sigma: number): Float32Array {
  const factor = sigma < WIDE_FROM ? 1 : Math.max(2, Math.floor(sigma / 4));
  const [w, h] = [Math.ceil(width / factor), Math.ceil(height / factor)];
  if (factor === 1 || Math.min(w, h) < 4) return gaussianBlur(plane, width, height, sigma);
  const small = squareMeans(plane, width, height, factor, w, h);
  const rest = Math.sqrt(sigma * sigma - (factor * factor - 1) / 12 - (factor * factor) / 6) / factor;
  return drawnOut(gaussianBlur(small, w, h, rest), w, h, factor, width, height);
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
