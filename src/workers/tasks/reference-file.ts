/** What a prepared reference is taken out as: pictures, traced outlines, layers, sheets to print. */
import { lightnessToGreyCode } from '@/core/colour/grey-code';
import { targetLightnesses } from '@/core/exercise/targets';
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
import { withPhoto } from '../decoding/decode';
import { greyPng, maskToPng } from '../decoding/planes';
import { type LayerPicture, openRasterFile } from './openraster-file';
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
  const layers = lightness.map(async (l, k): Promise<LayerPicture> => {
    const rgba = new Uint8Array(4 * width * height);
    const code = lightnessToGreyCode(l);
    toneOf.forEach((t, i) => {
      if (t === k + 1) rgba.set([code, code, code, 255], 4 * i);
    });
    const picture = sharp(rgba, { raw: { width, height, channels: 4 } });
    return {
      layer: { name: `Tone ${labels[k] ?? k + 1}`, file: `data/tone-${k + 1}.png` },
      png: await picture.png().toBuffer(),
    };
  });
  return openRasterFile(plane, (await Promise.all(layers)).reverse(), merged);
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
