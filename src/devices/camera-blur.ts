/** Out of focus: the simulated camera's own blur. */

/** Box blur thrice, along rows then columns, in place: close to a Gaussian of that sigma. */
export function blurInPlace(plane: Float32Array, width: number, height: number, sigma: number): void {
  if (sigma < 0.3) return;
  const radius = Math.round((Math.sqrt(4 * sigma * sigma + 1) - 1) / 2);
  if (radius <= 1) {
    // Twice a narrow kernel of half the variance: its three taps would not hold a wider one.
    smallBlur(plane, width, height, sigma / Math.SQRT2);
    smallBlur(plane, width, height, sigma / Math.SQRT2);
    return;
  }
  for (let pass = 0; pass < 3; pass++) {
    boxRows(plane, width, height, radius);
    boxColumns(plane, width, height, radius);
  }
}

function boxRows(plane: Float32Array, width: number, height: number, radius: number): void {
  const line = new Float32Array(width);
  for (let y = 0; y < height; y++) {
    line.set(plane.subarray(y * width, (y + 1) * width));
    let sum = 0;
    for (let i = -radius; i <= radius; i++) sum += line[Math.min(width - 1, Math.max(0, i))] as number;
    for (let x = 0; x < width; x++) {
      plane[y * width + x] = sum / (2 * radius + 1);
      sum += (line[Math.min(width - 1, x + radius + 1)] as number) - (line[Math.max(0, x - radius)] as number);
    }
  }
}

/** Running sums of whole rows, so that memory is read in order. */
function boxColumns(plane: Float32Array, width: number, height: number, radius: number): void {
  const source = plane.slice();
  const sums = new Float64Array(width);
  const row = (y: number) => Math.min(height - 1, Math.max(0, y)) * width;
  for (let k = -radius; k <= radius; k++) {
    const from = row(k);
    for (let x = 0; x < width; x++) sums[x] = (sums[x] as number) + (source[from + x] as number);
  }
  for (let y = 0; y < height; y++) {
    const enter = row(y + radius + 1);
    const leave = row(y - radius);
    for (let x = 0; x < width; x++) {
      plane[y * width + x] = (sums[x] as number) / (2 * radius + 1);
      sums[x] = (sums[x] as number) + (source[enter + x] as number) - (source[leave + x] as number);
    }
  }
}

function smallBlur(plane: Float32Array, width: number, height: number, sigma: number): void {
  const side = Math.exp(-1 / (2 * sigma * sigma));
  const w0 = 1 / (1 + 2 * side);
  const w1 = side * w0;
  for (let y = 0; y < height; y++) {
    const last = (y + 1) * width - 1;
    let here = plane[y * width] as number;
    let left = here;
    for (let i = y * width; i < last; i++) {
      const right = plane[i + 1] as number;
      plane[i] = w0 * here + w1 * (left + right);
      left = here;
      here = right;
    }
    plane[last] = w0 * here + w1 * (left + here);
  }
  const above = plane.slice(0, width);
  for (let y = 0; y < height; y++) {
    const from = y * width;
    const below = y + 1 < height ? from + width : from;
    for (let x = 0; x < width; x++) {
      const here = plane[from + x] as number;
      plane[from + x] = w0 * here + w1 * ((above[x] as number) + (plane[below + x] as number));
      above[x] = here;
    }
  }
}
