/** A place of known reflectance in one channel. */
export interface ToneSample {
  /** Position over the sheet, -1 to 1 across each way. */
  readonly x: number;
  readonly y: number;
  /** Mean code, 0 to 255. */
  readonly code: number;
  /** Known reflectance, 0 to 1. */
  readonly reflectance: number;
  /** Patch this sample is part of; 0 is bare paper. */
  readonly patch: number;
  /** ln of light that is known from elsewhere, left out of the fit; 0 where none is. */
  readonly knownLight: number;
}
