/** Thin lines of a plane of lightness: what a closing or an opening takes away. */
import type { OpenCv } from './opencv';

export interface ThinLines {
  /** How much darker, or lighter, than what lies to both sides of it each place is, L*; 0 where it is neither. */
  readonly dark: Float32Array;
  readonly light: Float32Array;
}

/**
 * Lines thinner than twice `reach` (places) in a plane of L*, row by row: morphological bottom-hat and top-hat by a square, which
 * costs the same for any reach.
 * P. Soille, "Morphological Image Analysis", 2nd edition (2003), chapter 4.6.
 */
export function thinLines(cv: OpenCv, plane: Float32Array, width: number, height: number, reach: number): ThinLines {
  const image = new cv.Mat(height, width, cv.CV_32FC1);
  image.data32F.set(plane);
  const size = 2 * Math.ceil(reach) + 1;
  const square = cv.getStructuringElement(cv.MORPH_RECT, new cv.Size(size, size));
  const out = new cv.Mat();
  try {
    const taken = (how: number) => {
      cv.morphologyEx(image, out, how, square);
      return Float32Array.from(out.data32F);
    };
    return { dark: taken(cv.MORPH_BLACKHAT), light: taken(cv.MORPH_TOPHAT) };
  } finally {
    for (const thing of [image, square, out]) thing.delete();
  }
}
