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
  const c = Math.min(width - 2, Math.floor(u));
  const r = Math.min(height - 2, Math.floor(v));
  const a = u - c;
  const b = v - r;
  const i = r * width + c;
  const top = (1 - a) * (data[i] as number) + a * (data[i + 1] as number);
  const bottom = (1 - a) * (data[i + width] as number) + a * (data[i + width + 1] as number);
  return (1 - b) * top + b * bottom;
}

/** A plane at another size, each place the mean of what it covers; only ever smaller. */
export function shrunk({ data, width, height }: Plane, toWidth: number, toHeight: number): Plane {
  const lines = (from: Float32Array, count: number, length: number, to: number, across: boolean) => {
    const out = new Float32Array(count * to);
    for (let k = 0; k < to; k++) {
      const [from0, from1] = [(k * length) / to, ((k + 1) * length) / to];
      for (let j = Math.floor(from0); j < Math.min(length, Math.ceil(from1)); j++) {
        const part = (Math.min(j + 1, from1) - Math.max(j, from0)) / (from1 - from0);
        for (let line = 0; line < count; line++) {
          const i = across ? line * to + k : k * count + line;
          out[i] = (out[i] as number) + part * (from[across ? line * length + j : j * count + line] as number);
        }
      }
    }
    return out;
  };
  const narrow = toWidth === width ? data : lines(data, height, width, toWidth, true);
  return {
    width: toWidth,
    height: toHeight,
    data: toHeight === height ? narrow : lines(narrow, toWidth, height, toHeight, false),
  };
}
