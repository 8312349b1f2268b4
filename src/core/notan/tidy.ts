/** Tones made calmer: what is thinner than can be painted goes to what lies beside it, outlines are smoothed. */
import { quickBlur } from '../raster/blur';
import { squaredDistances } from '../raster/distance';

/** 1 along the outlines between tones, on the place before the change. */
export function outlinesOf(toneOf: Uint8Array | Int32Array, width: number): Uint8Array {
  return Uint8Array.from(toneOf, (t, i) => (((i + 1) % width !== 0 && toneOf[i + 1] !== t) || (i + width < toneOf.length && toneOf[i + width] !== t) ? 1 : 0));
}

/**
 * Tones without what is thinner than twice `radius` (places): the blurred edge between light and dark is no tone of its
 * own. Thin places take the tone of the nearest thick one. Where nothing is thick all stays as it is.
 */
export function withoutThin(toneOf: Uint8Array, width: number, height: number, radius: number): Uint8Array {
  const deep = squaredDistances(outlinesOf(toneOf, width), width, height);
  const out = toneOf.map((t, i) => ((deep[i] as number) >= radius * radius ? t : 0));
  const reached = new Int32Array(out.length);
  let [from, to] = [0, 0];
  out.forEach((t, i) => {
    if (t > 0) reached[to++] = i;
  });
  if (to === 0) return toneOf;
  for (; from < to; from++) {
    const i = reached[from] as number;
    const x = i % width;
    for (const k of [x > 0 ? i - 1 : -1, x + 1 < width ? i + 1 : -1, i - width, i + width])
      if (out[k] === 0) {
        out[k] = out[i] as number;
        reached[to++] = k;
      }
  }
  return out;
}

/** Each place takes the tone that most of what lies about it has, weighed about as by a Gaussian of `sigma` places. */
export function smoothedTones(toneOf: Uint8Array, width: number, height: number, count: number, sigma: number): Uint8Array {
  const most = new Float32Array(toneOf.length);
  const out = new Uint8Array(toneOf.length);
  for (let tone = 1; tone <= count; tone++) {
    const about = quickBlur(Float32Array.from(toneOf, (t) => (t === tone ? 1 : 0)), width, height, sigma);
    about.forEach((share, i) => {
      if (share <= (most[i] as number)) return;
      most[i] = share;
      out[i] = tone;
    });
  }
  return out;
}
