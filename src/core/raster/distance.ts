/**
 * Distance of every place to the nearest marked one, exact, after P. F. Felzenszwalb and D. P. Huttenlocher, "Distance
 * transforms of sampled functions", Theory of Computing 8 (2012), section 2: the lower envelope of parabolas, along the
 * columns and then along the rows.
 */

/** Further than any place of a picture can be; finite, so that parabolas of it still cross. */
const FAR = 1e12;

/** One line: `f` holds squared distances in the other direction, `out` gets the least of `f[q] + (p - q)²`. */
function alongLine(f: Float64Array, n: number, out: Float64Array, v: Int32Array, z: Float64Array): void {
  let k = 0;
  v[0] = 0;
  z[0] = -Infinity;
  z[1] = Infinity;
  for (let q = 1; q < n; q++) {
    const fq = (f[q] as number) + q * q;
    let s: number;
    for (;;) {
      const r = v[k] as number;
      s = (fq - ((f[r] as number) + r * r)) / (2 * (q - r));
      if (s > (z[k] as number)) break;
      k--;
    }
    k++;
    v[k] = q;
    z[k] = s;
    z[k + 1] = Infinity;
  }
  k = 0;
  for (let p = 0; p < n; p++) {
    while ((z[k + 1] as number) < p) k++;
    const q = v[k] as number;
    out[p] = (p - q) * (p - q) + (f[q] as number);
  }
}

/** Squared distances (places²) to the nearest place where `marked` is 1, row by row; Infinity where nothing is marked. */
export function squaredDistances(marked: Uint8Array, width: number, height: number): Float64Array {
  const out = new Float64Array(marked.length);
  const longest = Math.max(width, height);
  const [line, nearest, z] = [new Float64Array(longest), new Float64Array(longest), new Float64Array(longest + 1)];
  const v = new Int32Array(longest);
  for (let x = 0; x < width; x++) {
    for (let y = 0; y < height; y++) line[y] = marked[y * width + x] === 1 ? 0 : FAR;
    alongLine(line, height, nearest, v, z);
    for (let y = 0; y < height; y++) out[y * width + x] = nearest[y] as number;
  }
  for (let y = 0; y < height; y++) {
    line.set(out.subarray(y * width, (y + 1) * width));
    alongLine(line, width, nearest, v, z);
    for (let x = 0; x < width; x++)
      out[y * width + x] = (nearest[x] as number) >= FAR ? Infinity : (nearest[x] as number);
  }
  return out;
}
