/** Thin lines of a plane of lightness: what a closing or an opening takes away. */
import type { Plane } from '../raster/between';
import type { OpenCv } from './opencv';

/** A plane without its thin dark lines, and without its thin light ones. */
export interface Envelopes {
  readonly closed: Float32Array;
  readonly opened: Float32Array;
}

export interface ThinLines {
  /** How much darker, or lighter, than what lies to both sides of it each place is, L*; 0 where it is neither. */
  readonly dark: Float32Array;
  readonly light: Float32Array;
}

/** Whole parts of an L* are put in order twice as fast as broken ones, and are finer than any grain; L* beyond 127 is as 127. */
const PARTS = 256;
const MOST_CODE = 32_767;

/**
 * Morphological closing and opening of a plane of L* by a square, which cost the same for any size of it: lines thinner than
 * `widest` (places) are gone from them. P. Soille, "Morphological Image Analysis", 2nd edition (2003), chapter 4.
 */
export function envelopesOf(cv: OpenCv, { width, height, data }: Plane, widest: number): Envelopes {
  const image = new cv.Mat(height, width, cv.CV_16SC1);
  const codes = image.data16S;
  for (let i = 0; i < codes.length; i++)
    codes[i] = Math.max(-MOST_CODE, Math.min(MOST_CODE, (data[i] as number) * PARTS));
  const size = 2 * Math.ceil(widest / 2) + 1;
  const square = cv.getStructuringElement(cv.MORPH_RECT, new cv.Size(size, size));
  const out = new cv.Mat();
  try {
    const made = (how: number) => {
      cv.morphologyEx(image, out, how, square);
      const kept = out.data16S;
      const lightness = new Float32Array(data.length);
      for (let i = 0; i < lightness.length; i++) lightness[i] = (kept[i] as number) / PARTS;
      return lightness;
    };
    return { closed: made(cv.MORPH_CLOSE), opened: made(cv.MORPH_OPEN) };
  } finally {
    for (const thing of [image, square, out]) thing.delete();
  }
}

/** The lines that its envelopes took from a plane (chapter 4.6: bottom-hat and top-hat). */
export function thinLines(data: Float32Array, { closed, opened }: Envelopes): ThinLines {
  const [dark, light] = [new Float32Array(data.length), new Float32Array(data.length)];
  for (let i = 0; i < data.length; i++) {
    dark[i] = (closed[i] as number) - (data[i] as number);
    light[i] = (data[i] as number) - (opened[i] as number);
  }
  return { dark, light };
}
