/** What a prepared reference is taken out as: pictures, traced outlines, layers, sheets to print. */
import { lightnessToGreyCode } from '@/core/colour/grey-code';
import { targetLightnesses } from '@/core/exercise/targets';
import { OPENRASTER_TYPE, stackXml } from '@/core/formats/openraster';
import { tonesToSvg } from '@/core/formats/tones-svg';
import { drawReferenceSheets, type ReferenceSheetWords } from '@/core/handout/reference-sheets';
import { framed } from '@/core/reference/framing';
import { luminanceOf, softLightness } from '@/core/reference/luminance-plane';
import type { ReferenceFile } from '@/core/reference/reference-files';
import { valueMap, valueSpan } from '@/core/reference/value-map';
import type { PaperId } from '@/core/sheet/paper';
import type { TonePlane } from '@/core/tones/compare-tones';
import { sharesOf } from '@/core/tones/tones';
import { sheetsToPdf } from '@/print/sheet-pdf';
import sharp from 'sharp';
import yazl from 'yazl';
import { withPhoto } from '../decoding/decode';
import { greyPng, maskToPng } from '../decoding/planes';
import { planeOf, type PreparedReference } from './prepared-plane';

export interface ReferenceFileTask {
  readonly task: 'reference-file';
  readonly what: ReferenceFile;
  readonly reference: PreparedReference;
  readonly words: ReferenceSheetWords;
  readonly paper: PaperId;
}

/** The picture in greys as paint can reach them, squinted by so many percent. */
function mappedGrey({ picture, preparation }: PreparedReference, squint: number): Promise<Buffer> {
  return withPhoto(picture, null, (photo) => {
    const luminance = luminanceOf(framed(photo, preparation.corners, preparation.proportion));
    const map = valueMap(valueSpan(softLightness(luminance, 0).data), preparation);
    return greyPng(
      Uint8Array.from(softLightness(luminance, squint).data, (l) => lightnessToGreyCode(map.of(l))),
      luminance,
    );
  });
}

async function layersFile(
  plane: TonePlane,
  lightness: readonly number[],
  labels: readonly string[],
  merged: Buffer,
): Promise<Uint8Array> {
  const { width, height, toneOf } = plane;
  const zip = new yazl.ZipFile();
  // The format wants its type first, and as it is.
  zip.addBuffer(Buffer.from(OPENRASTER_TYPE), 'mimetype', { compress: false });
  const layers = lightness.map((_, k) => ({ name: `Tone ${labels[k] ?? k + 1}`, file: `data/tone-${k + 1}.png` }));
  zip.addBuffer(Buffer.from(stackXml(width, height, [...layers].reverse())), 'stack.xml');
  for (const [k, l] of lightness.entries()) {
    const rgba = new Uint8Array(4 * width * height);
    const code = lightnessToGreyCode(l);
    toneOf.forEach((t, i) => {
      if (t === k + 1) rgba.set([code, code, code, 255], 4 * i);
    });
    zip.addBuffer(
      await sharp(rgba, { raw: { width, height, channels: 4 } })
        .png()
        .toBuffer(),
      `data/tone-${k + 1}.png`,
    );
  }
  zip.addBuffer(merged, 'mergedimage.png');
  zip.addBuffer(
    await sharp(merged).resize({ width: 256, height: 256, fit: 'inside' }).png().toBuffer(),
    'Thumbnails/thumbnail.png',
  );
  zip.end();
  const chunks: Buffer[] = [];
  for await (const chunk of zip.outputStream) chunks.push(chunk as Buffer);
  return Buffer.concat(chunks);
}

/** Throws UnusablePicture where the preparation gives nothing to take out. */
export async function referenceFile({ what, reference, words, paper }: ReferenceFileTask): Promise<Uint8Array> {
  const { preparation, wanted } = reference;
  if (what === 'grey') return mappedGrey(reference, 0);
  if (what === 'squinted') return mappedGrey(reference, Math.max(1, preparation.squint));
  if (what === 'map') {
    const plane = await planeOf({ ...reference, wanted: { tones: 2, school: 'light-and-shadow' } });
    return maskToPng(
      plane.toneOf.map((t) => (t === 2 ? 0 : 1)),
      plane.width,
      plane.height,
    );
  }
  const plane = await planeOf(reference);
  const lightness = targetLightnesses(wanted.tones, preparation.ends, 'light-first', 'lightness');
  if (what === 'traced') return Buffer.from(tonesToSvg(plane, lightness, words.title));
  const codes = lightness.map(lightnessToGreyCode);
  // What is left open shows the ground.
  const tones = await greyPng(
    plane.toneOf.map((t) => (t === 0 ? 255 : (codes[t - 1] as number))),
    plane,
  );
  if (what === 'tones') return tones;
  if (what === 'layers') return layersFile(plane, lightness, words.labels, tones);
  const shares = sharesOf(plane.toneOf, wanted.tones);
  return sheetsToPdf(
    drawReferenceSheets(
      {
        grey: await mappedGrey(reference, 0),
        squinted: await mappedGrey(reference, Math.max(1, preparation.squint)),
        plane,
        lightness,
        shares,
      },
      words,
      paper,
    ),
  );
}
