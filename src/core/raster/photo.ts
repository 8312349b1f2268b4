/**
 * A photograph as it should be seen, over pixels as they are stored. Phones store most pictures on their
 * side; turning twelve megapixels costs a third of decoding them, a stride costs nothing.
 */
import type { ColourMatrix } from '../colour/primaries';
import type { Raster } from './raster';

/** The orientation tag of EXIF 2.3, table 7: which side of the stored picture is its top. */
export type Orientation = 1 | 2 | 3 | 4 | 5 | 6 | 7 | 8;

export interface Photo {
  /** Sizes of the picture as it should be seen, in pixels. */
  readonly width: number;
  readonly height: number;
  readonly stored: Raster<'srgb8', 3>;
  readonly orientation: Orientation;
  /** To sRGB's primaries, where the file's profile has others; codes are kept as they are, so that nothing is cut off. */
  readonly primaries: ColourMatrix | null;
  /** Place of the red code of the top left pixel in the stored samples, and how far its neighbours are. */
  readonly origin: number;
  readonly alongX: number;
  readonly alongY: number;
}

/** The photograph that stored pixels show under an orientation tag. */
export function uprightPhoto(
  stored: Raster<'srgb8', 3>,
  orientation: Orientation = 1,
  primaries: ColourMatrix | null = null,
): Photo {
  const right = 3;
  const down = 3 * stored.width;
  const lastColumn = right * (stored.width - 1);
  const lastRow = down * (stored.height - 1);
  const [origin, alongX, alongY] = (
    {
      1: [0, right, down],
      2: [lastColumn, -right, down],
      3: [lastColumn + lastRow, -right, -down],
      4: [lastRow, right, -down],
      5: [0, down, right],
      6: [lastRow, -down, right],
      7: [lastColumn + lastRow, -down, -right],
      8: [lastColumn, down, -right],
    } as const
  )[orientation];
  const onItsSide = orientation >= 5;
  return {
    width: onItsSide ? stored.height : stored.width,
    height: onItsSide ? stored.width : stored.height,
    stored,
    orientation,
    primaries,
    origin,
    alongX,
    alongY,
  };
}
