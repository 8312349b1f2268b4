/** The model of docs/running.md: what a photograph of 12 megapixels costs each part, in times of decoding it. */
export const CAPACITY = {
  /** Reading it, and making the pictures of it that are looked at. */
  measure: 5,
  /** Taking it in, stripping it and keeping it. */
  pages: 0.5,
  /** Database, store, proxy, and whoever sends it. */
  rest: 0.6,
} as const;

/** How long all parts of a district need for an evening on cores that they share, seconds. */
export const eveningSeconds = (photographs: number, cores: number, decodeSeconds: number): number =>
  (photographs * (CAPACITY.measure + CAPACITY.pages + CAPACITY.rest) * decodeSeconds) / cores;
