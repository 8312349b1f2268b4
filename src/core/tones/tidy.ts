/** Tones made calmer: what is thinner than can be painted goes to what lies beside it, outlines are smoothed. */
import { lightnessToLuminance } from '../colour/lab';
import { quickBlur } from '../raster/blur';
import { squaredDistances } from '../raster/distance';
import type { Raster } from '../raster/raster';

/** 1 along the outlines between tones, on the place before the change. */
export function outlinesOf(toneOf: ArrayLike<number>, width: number): Uint8Array {
  const n = toneOf.length;
  const out = new Uint8Array(n);
  for (let i = 0, x = 0; i < n; i++) {
    const t = toneOf[i];
    const last = ++x === width;
    if ((!last && toneOf[i + 1] !== t) || (i + width < n && toneOf[i + width] !== t)) out[i] = 1;
    if (last) x = 0;
  }
  return out;
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

/**
 * Outlines between two tones put where as much of the one as of the other is seen. An edge is soft, and light mixes as light:
 * half way between two tones is half their luminance, and by lightness alone every light shape grows into the dark by more than
 * half of the softness. `means` are the tones' lightnesses (L*), the lightest first; within `reach` places of an outline it may move.
 */
export function outlinesByLight(
  toneOf: Uint8Array,
  { data, width, height }: Raster<'lightness', 1>,
  means: readonly number[],
  reach: number,
): Uint8Array {
  const near = squaredDistances(outlinesOf(toneOf, width), width, height);
  const luminances = means.map(lightnessToLuminance);
  const out = Uint8Array.from(toneOf);
  for (let i = 0; i < out.length; i++) {
    if ((near[i] as number) > reach * reach) continue;
    const [x, y] = [i % width, Math.floor(i / width)];
    let [lighter, darker, others] = [toneOf[i] as number, toneOf[i] as number, false];
    for (let v = Math.max(0, y - reach); v <= Math.min(height - 1, y + reach); v++)
      for (
        let k = v * width + Math.max(0, x - reach), end = v * width + Math.min(width - 1, x + reach);
        k <= end;
        k++
      ) {
        const t = toneOf[k] as number;
        if (t === lighter || t === darker) continue;
        if (lighter !== darker) others = true;
        lighter = Math.min(lighter, t);
        darker = Math.max(darker, t);
      }
    // Where three tones meet nothing tells whose light is mixed.
    if (lighter === darker || others) continue;
    const half = ((luminances[lighter - 1] as number) + (luminances[darker - 1] as number)) / 2;
    out[i] = lightnessToLuminance(data[i] as number) > half ? lighter : darker;
  }
  return out;
}

/**
 * Outlines smoothed, about as by a Gaussian of `sigma` places: a place is of a tone or a darker one where more than half of what
 * lies about it is. Going by levels keeps tones in order: where light meets dark no strip of a tone between them comes about.
 */
export function smoothedTones(
  toneOf: Uint8Array,
  width: number,
  height: number,
  count: number,
  sigma: number,
): Uint8Array {
  const n = toneOf.length;
  const out = new Uint8Array(n).fill(1);
  const darker = new Float32Array(n);
  for (let tone = 2; tone <= count; tone++) {
    for (let i = 0; i < n; i++) darker[i] = (toneOf[i] as number) >= tone ? 1 : 0;
    const about = quickBlur(darker, width, height, sigma);
    for (let i = 0; i < n; i++) if ((about[i] as number) > 0.5) out[i] = tone;
  }
  return out;
}
