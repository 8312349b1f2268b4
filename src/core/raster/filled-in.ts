/**
 * Fills a hole in a picture from what lies about it, smoothly: means of what is known on ever coarser grids, and down again. S. J.
 * Gortler, R. Grzeszczuk, R. Szeliski and M. F. Cohen, "The Lumigraph" (1996), section 3.4 (pull-push).
 */

interface Level {
  readonly width: number;
  readonly height: number;
  /** Three channels, interleaved; as known as `known` says, 0 to 1. */
  readonly data: Float32Array;
  readonly known: Float32Array;
}

function coarser({ width, height, data, known }: Level): Level {
  const [w, h] = [Math.ceil(width / 2), Math.ceil(height / 2)];
  const out: Level = { width: w, height: h, data: new Float32Array(3 * w * h), known: new Float32Array(w * h) };
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const weight = known[y * width + x] as number;
      if (weight === 0) continue;
      const i = (y >> 1) * w + (x >> 1);
      out.known[i] = (out.known[i] as number) + weight;
      for (let c = 0; c < 3; c++)
        out.data[3 * i + c] = (out.data[3 * i + c] as number) + weight * (data[3 * (y * width + x) + c] as number);
    }
  for (let i = 0; i < out.known.length; i++) {
    const weight = out.known[i] as number;
    if (weight === 0) continue;
    for (let c = 0; c < 3; c++) out.data[3 * i + c] = (out.data[3 * i + c] as number) / weight;
    out.known[i] = Math.min(1, weight);
  }
  return out;
}

/** What is unknown on a level, from the one above it, drawn out between its middles. */
function fillFrom({ width, height, data, known }: Level, above: Level): void {
  const at = (v: number, of: number) => {
    const u = Math.min(of - 1, Math.max(0, (v + 0.5) / 2 - 0.5));
    const k = Math.min(Math.max(0, of - 2), Math.floor(u));
    return { k, next: Math.min(of - 1, k + 1), part: u - k };
  };
  for (let y = 0; y < height; y++) {
    const down = at(y, above.height);
    for (let x = 0; x < width; x++) {
      const i = y * width + x;
      const own = known[i] as number;
      if (own >= 1) continue;
      const across = at(x, above.width);
      for (let c = 0; c < 3; c++) {
        const of = (row: number, column: number) => above.data[3 * (row * above.width + column) + c] as number;
        const upper = (1 - across.part) * of(down.k, across.k) + across.part * of(down.k, across.next);
        const lower = (1 - across.part) * of(down.next, across.k) + across.part * of(down.next, across.next);
        const from = (1 - down.part) * upper + down.part * lower;
        data[3 * i + c] = own * (data[3 * i + c] as number) + (1 - own) * from;
      }
    }
  }
}

/** Fills what is not `known` (0) of three channels of linear light in the plane that is given. Where nothing is known, all is left as it is. */
export function fillIn(data: Float32Array, known: Float32Array, width: number, height: number): void {
  if (!known.some((k) => k > 0)) return;
  const levels: Level[] = [{ width, height, data, known }];
  for (let last = levels[0] as Level; last.known.some((k) => k < 1) && last.width * last.height > 1;) {
    last = coarser(last);
    levels.push(last);
  }
  for (let k = levels.length - 2; k >= 0; k--) fillFrom(levels[k] as Level, levels[k + 1] as Level);
}
