/** The QR code of a located sheet, straightened to a small grey picture for a decoder. */
import type { BoxMm } from '../geometry/box';
import type { Photo } from '../raster/photo';
import type { Plane } from './plane';
import { sampleBox } from './sample';

export interface GreyPicture {
  readonly data: Uint8ClampedArray;
  readonly width: number;
  readonly height: number;
}

const QR_STEP_MM = 0.1;

/** The code of a sheet, rectified: grey codes 0 to 255 of its box in mm. */
export function qrCrop(photo: Photo, plane: Plane, box: BoxMm): GreyPicture {
  const s = sampleBox(photo, plane, box, QR_STEP_MM);
  const data = new Uint8ClampedArray(s.columns * s.rows);
  for (let i = 0; i < data.length; i++) {
    const v = s.codes[3 * i + 1] as number;
    data[i] = Number.isNaN(v) ? 255 : v;
  }
  return { data, width: s.columns, height: s.rows };
}
