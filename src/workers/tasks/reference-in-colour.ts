/** A reference in its own colours, cropped and straightened as it was prepared. */
import { linearToCode } from '@/core/colour/srgb';
import { framed } from '@/core/reference/framing';
import sharp from 'sharp';
import { withPhoto } from '../decoding/decode';
import type { PreparedReference } from './prepared-plane';

export interface ReferenceInColourTask {
  readonly task: 'reference-in-colour';
  readonly reference: Pick<PreparedReference, 'picture' | 'preparation'>;
}

/** PNG. Throws UnusablePicture where the file can't be read. */
export function referenceInColour({ reference }: ReferenceInColourTask): Promise<Uint8Array> {
  const { picture, preparation } = reference;
  return withPhoto(picture, null, (photo) => {
    const { width, height, data } = framed(photo, preparation.corners, preparation.proportion);
    return sharp(Uint8Array.from(data, linearToCode), { raw: { width, height, channels: 3 } })
      .png()
      .toBuffer();
  });
}
