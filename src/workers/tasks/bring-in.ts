/** A picture brought in as a reference: upright, in sRGB, at the size that it is worked on, and small for lists. */
import { luminanceToLightness } from '@/core/colour/lab';
import { applyMatrix } from '@/core/colour/primaries';
import { linearToCode, type Triple } from '@/core/colour/srgb';
import { framed } from '@/core/reference/framing';
import { luminanceOf } from '@/core/reference/luminance-plane';
import { WHOLE } from '@/core/reference/preparation';
import { LEAST_SIDE_PX } from '@/core/reference/prepare';
import sharp from 'sharp';
import { UnusablePicture, withPhoto } from '../decoding/decode';

export interface BringInTask {
  readonly task: 'bring-in';
  readonly file: string;
  readonly orientation: number | null;
}

export interface BroughtIn {
  /** PNG, sRGB, no profile: the browser and the studio work on the same codes. */
  readonly working: Uint8Array;
  /** JPEG for lists. */
  readonly small: Uint8Array;
  readonly width: number;
  readonly height: number;
}

/** Longer side of what is worked on; about two megapixels. */
const LONG_SIDE_PX = 1600;
const SMALL_PX = 480;
/** From the darkest to the lightest place a picture needs this much, L*. */
const LEAST_RANGE = 6;

export function bringIn({ file, orientation }: BringInTask): Promise<BroughtIn> {
  return withPhoto(file, orientation, async (photo) => {
    const { width, height } = photo;
    if (Math.min(width, height) < LEAST_SIDE_PX)
      throw new UnusablePicture(
        `This picture is ${width} x ${height} pixels: send one of at least ${LEAST_SIDE_PX} each way.`,
      );
    const proportion = width / height;
    if (proportion > 5 || proportion < 0.2)
      throw new UnusablePicture(
        'This picture is more than five times as long as it is wide: cut out the part that is to be painted, and send that.',
      );
    const linear = framed(photo, WHOLE, proportion, Math.min(LONG_SIDE_PX, Math.max(width, height)));
    const codes = new Uint8Array(linear.data.length);
    const { primaries } = photo;
    for (let p = 0; p < codes.length; p += 3) {
      const own: Triple = [linear.data[p] as number, linear.data[p + 1] as number, linear.data[p + 2] as number];
      const [r, g, b] = primaries ? applyMatrix(primaries, own) : own;
      codes[p] = linearToCode(r);
      codes[p + 1] = linearToCode(g);
      codes[p + 2] = linearToCode(b);
    }
    const light = luminanceOf(linear).data;
    let [least, most] = [Infinity, -Infinity];
    for (const y of light) [least, most] = [Math.min(least, y), Math.max(most, y)];
    if (luminanceToLightness(most) - luminanceToLightness(least) < LEAST_RANGE)
      throw new UnusablePicture('This picture is one flat tone from edge to edge: send one with light and dark in it.');
    const image = sharp(codes, { raw: { width: linear.width, height: linear.height, channels: 3 } });
    return {
      working: await image.clone().png({ compressionLevel: 6 }).toBuffer(),
      small: await image
        .clone()
        .resize({ width: SMALL_PX, height: SMALL_PX, fit: 'inside' })
        .jpeg({ quality: 85 })
        .toBuffer(),
      width: linear.width,
      height: linear.height,
    };
  });
}
