/** Out of focus: the simulated camera's own blur. */

/** Box blur thrice, along rows then columns, in place: close to a Gaussian of that sigma. */
export function blurInPlace(plane: Float32Array, width: number, height: number, sigma: number): void {
  if (sigma < 0.3) return;
  const radius = Math.round((Math.sqrt(4 * sigma * sigma + 1) - 1) / 2);
  if (radius <= 1) {
    smallBlur(plane, width, height, sigma);
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

/** Three taps of half the variance, twice: one kernel of five, so that the plane is gone through once each way. */
function smallBlur(plane: Float32Array, width: number, height: number, sigma: number): void {
  const side = Math.exp(-1 / (sigma * sigma));
  const [middle, beside] = [1 / (1 + 2 * side), side / (1 + 2 * side)];
  const w0 = middle * middle + 2 * beside * beside;
  const w1 = 2 * middle * beside;
  const w2 = beside * beside;
  fiveRows(plane, width, height, w0, w1, w2);
  fiveColumns(plane, width, height, w0, w1, w2);
}

function fiveRows(plane: Float32Array, width: number, height: number, w0: number, w1: number, w2: number): void {
  for (let y = 0; y < height; y++) {
    const [from, last] = [y * width, (y + 1) * width - 1];
    let here = plane[from] as number;
    let right = plane[Math.min(last, from + 1)] as number;
    let [before, left] = [here, here];
    for (let i = from; i <= last; i++) {
      const after = plane[i + 2 <= last ? i + 2 : last] as number;
      plane[i] = w0 * here + w1 * (left + right) + w2 * (before + after);
      before = left;
      left = here;
      here = right;
      right = after;
    }
  }
}

function fiveColumns(plane: Float32Array, width: number, height: number, w0: number, w1: number, w2: number): void {
  // The two rows above as they were.
  const before = plane.slice(0, width);
  const above = plane.slice(0, width);
  for (let y = 0; y < height; y++) {
    const from = y * width;
    const below = Math.min(height - 1, y + 1) * width;
    const after = Math.min(height - 1, y + 2) * width;
    for (let x = 0; x < width; x++) {
      const here = plane[from + x] as number;
      const up = above[x] as number;
      plane[from + x] =
        w0 * here +
        w1 * (up + (plane[below + x] as number)) +
        w2 * ((before[x] as number) + (plane[after + x] as number));
      before[x] = up;
      above[x] = here;
    }
  }
}
