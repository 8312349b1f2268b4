/** What can be said of a picture's values in numbers, before anybody paints it. */
import { lightnessHistogram, middleOf } from '../raster/lightness-histogram';
import type { Raster } from '../raster/raster';
import { toneShapes } from '../tones/tones';

export interface ReferenceFacts {
  /** Lightness (L*) that 5, 50 and 95 percent of the picture lie below. */
  readonly p5: number;
  readonly p50: number;
  readonly p95: number;
  readonly key: 'high' | 'middle' | 'low' | 'full';
  /** Shares of the picture in the lightest, middle and darkest third of its own range. */
  readonly thirds: readonly [light: number, middle: number, dark: number];
  /** Shapes of its tones: large ones from a tenth, middling ones from a fiftieth of the picture. */
  readonly shapes: { readonly large: number; readonly middle: number; readonly small: number };
  /** Where the largest contrast falls, shares of width and height, and how large it is, L*. */
  readonly contrast: { readonly x: number; readonly y: number; readonly step: number };
}

/** A picture whose range is this small keeps to a key; L*. */
const FULL_RANGE = 60;

/** Across this share of the longer side a contrast is taken. */
const ACROSS = 0.03;

function largestContrast({ data, width, height }: Raster<'lightness', 1>): ReferenceFacts['contrast'] {
  const r = Math.max(1, Math.round((ACROSS / 2) * Math.max(width, height)));
  let best = { x: 0.5, y: 0.5, step: 0 };
  for (let y = r; y < height - r; y += 2)
    for (let x = r; x < width - r; x += 2) {
      const i = y * width + x;
      const across = Math.abs((data[i + r] as number) - (data[i - r] as number));
      const down = Math.abs((data[i + r * width] as number) - (data[i - r * width] as number));
      const step = Math.max(across, down);
      if (step > best.step) best = { x: x / width, y: y / height, step };
    }
  return best;
}

/** Facts of a picture: shares of its tones, percentiles and thirds of its lightness (L*), its key. */
export function referenceFacts(lightness: Raster<'lightness', 1>, toneOf: Uint8Array): ReferenceFacts {
  const counts = lightnessHistogram(lightness.data);
  const total = counts.reduce((a, n) => a + n, 0);
  /** L* below which that share of the picture lies, to a bin. */
  const at = (share: number) => {
    let sum = 0;
    const bin = counts.findIndex((n) => (sum += n) >= share * total);
    return middleOf(Math.max(0, bin));
  };
  const [p5, p50, p95] = [at(0.05), at(0.5), at(0.95)];
  const [low, high] = [p5 + (p95 - p5) / 3, p5 + (2 * (p95 - p5)) / 3];
  const share = (from: number, to: number) =>
    counts.reduce((s, n, bin) => s + (middleOf(bin) >= from && middleOf(bin) < to ? n : 0), 0) / total;
  const sizes = toneShapes(toneOf, lightness.width).shapes.map((s) => s.places / toneOf.length);
  return {
    p5,
    p50,
    p95,
    key: p95 - p5 > FULL_RANGE ? 'full' : p50 > 62 ? 'high' : p50 < 38 ? 'low' : 'middle',
    thirds: [share(high, Infinity), share(low, high), share(-Infinity, low)],
    shapes: {
      large: sizes.filter((s) => s >= 0.1).length,
      middle: sizes.filter((s) => s >= 0.02 && s < 0.1).length,
      small: sizes.filter((s) => s >= 0.001 && s < 0.02).length,
    },
    contrast: largestContrast(lightness),
  };
}
