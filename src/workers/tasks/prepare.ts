/** Preparing a reference picture from a file on disk. */
import { lightnessToGreyCode } from '@/core/colour/grey-code';
import { luminancePlane } from '@/core/reference/luminance-plane';
import { NothingToPrepare, type Prepared, type PrepareRequest, prepareTones } from '@/core/reference/prepare';
import { TooFewTones } from '@/core/tones/thresholds';
import sharp from 'sharp';
import { UnusablePicture, withPhoto } from '../decoding/decode';

export interface PreparedFile {
  readonly prepared: Prepared;
  /** PNG bytes, each tone in the grey that it is painted in. */
  readonly picture: Uint8Array;
}

/** Throws UnusablePicture with what to do, whatever is wrong with the picture. */
export async function prepareFile(file: string, request: PrepareRequest): Promise<PreparedFile> {
  const plane = await withPhoto(file, null, (photo) => luminancePlane(photo));
  try {
    const prepared = prepareTones(plane, request);
    const greys = Uint8Array.from(prepared.tones, (t) => lightnessToGreyCode(t.lightness));
    const { width, height } = prepared;
    const codes = prepared.toneOf.map((tone) => greys[tone - 1] as number);
    return {
      prepared,
      picture: await sharp(codes, { raw: { width, height, channels: 1 } })
        .png()
        .toBuffer(),
    };
  } catch (error) {
    throw error instanceof TooFewTones || error instanceof NothingToPrepare
      ? new UnusablePicture(error.message)
      : error;
  }
}
