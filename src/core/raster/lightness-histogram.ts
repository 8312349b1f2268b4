/** How much of a picture is how light: 256 bins over L* 0 to 100. */

export const BINS = 256;

/** Bin of an L*; what lies outside 0 to 100 counts at its end. */
export const binOf = (lightness: number): number =>
  Math.min(BINS - 1, Math.max(0, Math.floor((lightness / 100) * BINS)));

/** L* of the upper edge of a bin, and of its middle. */
export const upperEdge = (bin: number): number => ((bin + 1) * 100) / BINS;
export const middleOf = (bin: number): number => ((bin + 0.5) * 100) / BINS;

/** Counts of a plane of L*; places that are NaN count nowhere. */
export function lightnessHistogram(lightness: Float32Array): Float64Array {
  const counts = new Float64Array(BINS);
  for (let i = 0; i < lightness.length; i++) {
    const l = lightness[i] as number;
    if (Number.isNaN(l)) continue;
    const bin = binOf(l);
    counts[bin] = (counts[bin] as number) + 1;
  }
  return counts;
}
