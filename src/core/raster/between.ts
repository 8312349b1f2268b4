/** What a plane holds between its places; places count from their middles. */
export interface Plane {
  readonly width: number;
  readonly height: number;
  readonly data: Float32Array;
}

/** Bilinear value at a place in pixels (0 to width, 0 to height); beyond the edge that of the edge. */
export function between({ data, width, height }: Plane, x: number, y: number): number {
  const u = x < 0.5 ? 0 : x > width - 0.5 ? width - 1 : x - 0.5;
  const v = y < 0.5 ? 0 : y > height - 0.5 ? height - 1 : y - 0.5;
  const c = u < width - 2 ? u | 0 : width - 2;
  const r = v < height - 2 ? v | 0 : height - 2;
  const a = u - c;
  const b = v - r;
  const i = r * width + c;
  const top = (1 - a) * (data[i] as number) + a * (data[i + 1] as number);
  const bottom = (1 - a) * (data[i + width] as number) + a * (data[i + width + 1] as number);
  return (1 - b) * top + b * bottom;
}

/** Rows of a plane, each place the mean of what it covers. */
function narrowed(from: Float32Array, width: number, height: number, to: number): Float32Array {
  const out = new Float32Array(height * to);
  const wide = width / to;
  for (let row = 0, i = 0; row < height; row++)
    for (let k = 0; k < to; k++, i++) {
      const left = k * wide;
      const right = (k + 1) * wide;
      const last = Math.min(width, Math.ceil(right));
      let sum = 0;
      for (let j = Math.floor(left); j < last; j++) {
        const begins = j > left ? j : left;
        const ends = j + 1 < right ? j + 1 : right;
        sum += (ends - begins) * (from[row * width + j] as number);
      }
      out[i] = sum / wide;
    }
  return out;
}

/** The same down the columns, a row at a time. */
function lowered(from: Float32Array, width: number, height: number, to: number): Float32Array {
  const out = new Float32Array(width * to);
  const tall = height / to;
  for (let k = 0; k < to; k++) {
    const [top, bottom] = [k * tall, (k + 1) * tall];
    for (let j = Math.floor(top); j < Math.min(height, Math.ceil(bottom)); j++) {
      const part = (Math.min(j + 1, bottom) - Math.max(j, top)) / tall;
      for (let x = 0, i = k * width, at = j * width; x < width; x++, i++, at++)
        out[i] = (out[i] as number) + part * (from[at] as number);
    }
  }
  return out;
}

/** A plane at another size, each place the mean of what it covers; only ever smaller. */
export function shrunk({ data, width, height }: Plane, toWidth: number, toHeight: number): Plane {
  const low = toHeight === height ? data : lowered(data, width, height, toHeight);
  return {
    width: toWidth,
    height: toHeight,
    data: toWidth === width ? low : narrowed(low, width, toHeight, toWidth),
  };
}
