/** A correction carried out on the picture that it was drawn on, as a picture or as layers. */
import { lightnessToLuminance } from '@/core/colour/lab';
import { LINEAR_OF_CODE, linearToCode } from '@/core/colour/srgb';
import { correctBy, corrected, type Picture } from '@/core/correction/correct';
import type { Layer } from '@/core/correction/layer';
import { boxMm } from '@/core/geometry/box';
import { text } from '@/core/sheet/drawing';
import { sheetToSvg } from '@/print/sheet-svg';
import sharp from 'sharp';
import { type LayerPicture, openRasterFile } from './openraster-file';

export interface CorrectionTask {
  readonly task: 'correction';
  /** The picture that it was drawn on. */
  readonly file: string;
  readonly layers: readonly Layer[];
  readonly as: 'picture' | 'png' | 'layers';
  /** Of a picture to look at: at most so many pixels across; as many as it has unless said. */
  readonly across?: number;
}

/** What every such picture says of itself. */
const SAID = 'A correction by the teacher, not the painting itself';
const UNDERNEATH = 'The painting as it is';

/** The picture of a file in linear light. */
async function linearPicture(file: string, across?: number): Promise<Picture> {
  const { data, info } = await sharp(file)
    .resize(across ? { width: across, withoutEnlargement: true } : {})
    .toColourspace('srgb')
    .removeAlpha()
    .raw()
    .toBuffer({ resolveWithObject: true });
  const { width, height, channels } = info;
  const linear = new Float32Array(3 * width * height);
  for (let i = 0; i < width * height; i++)
    for (let c = 0; c < 3; c++)
      linear[3 * i + c] = LINEAR_OF_CODE[data[channels * i + (channels < 3 ? 0 : c)] as number] as number;
  return { width, height, data: linear };
}

const codesOf = ({ data }: Picture): Uint8Array => Uint8Array.from(data, linearToCode);
const imageOf = (picture: Picture) =>
  sharp(codesOf(picture), { raw: { width: picture.width, height: picture.height, channels: 3 } });

/** Height of the band below a picture that says what it is, share of its width, and of the letters in it. */
const BAND = { tall: 0.04, letters: 0.02 } as const;
/** Of the band: darker than any paper, and letters as light as paper. */
const BAND_GREY = linearToCode(lightnessToLuminance(20));

/** PNG of a picture with a band below that says what it is, so that a file that travels is not taken for the painting. */
async function banded(picture: Picture): Promise<Buffer> {
  const { width } = picture;
  const tall = Math.max(16, Math.round(BAND.tall * width));
  const size = BAND.letters * width;
  const label = sheetToSvg({
    ...{ widthMm: width, heightMm: tall, title: SAID },
    marks: [
      { kind: 'fill', box: boxMm(0, 0, width, tall), code: BAND_GREY },
      text(SAID, tall / 2, tall / 2 + 0.36 * size, size, { weight: 'strong', code: 255 }),
    ],
  });
  const words = await sharp(Buffer.from(label)).resize({ width, height: tall, fit: 'fill' }).png().toBuffer();
  return sharp(await imageOf(picture).png().toBuffer())
    .extend({ bottom: tall })
    .composite([{ input: words, top: picture.height, left: 0 }])
    .withExif({ IFD0: { ImageDescription: SAID } })
    .png()
    .toBuffer();
}

/** What a layer left changed, and clear elsewhere. */
async function layerPng(before: Float32Array, after: Picture): Promise<Buffer> {
  const { width, height, data } = after;
  const rgba = new Uint8Array(4 * width * height);
  for (let i = 0; i < width * height; i++) {
    const p = 3 * i;
    if (data[p] === before[p] && data[p + 1] === before[p + 1] && data[p + 2] === before[p + 2]) continue;
    for (let c = 0; c < 3; c++) rgba[4 * i + c] = linearToCode(data[p + c] as number);
    rgba[4 * i + 3] = 255;
  }
  return sharp(rgba, { raw: { width, height, channels: 4 } })
    .png()
    .toBuffer();
}

async function asLayers(picture: Picture, layers: readonly Layer[]): Promise<Uint8Array> {
  const own = { ...picture, data: picture.data.slice() };
  const all: LayerPicture[] = [
    { layer: { name: UNDERNEATH, file: 'data/painting.png' }, png: await imageOf(picture).png().toBuffer() },
  ];
  for (const [k, layer] of layers.entries()) {
    const before = own.data.slice();
    if (correctBy(own, layer) === null) continue;
    const name = `Correction ${k + 1}${layer.name === '' ? '' : `: ${layer.name}`}`;
    all.push({ layer: { name, file: `data/correction-${k + 1}.png` }, png: await layerPng(before, own) });
  }
  return openRasterFile(picture, all.reverse(), await imageOf(own).png().toBuffer());
}

/** JPEG to look at, PNG with a band that says what it is, or an OpenRaster file whose lowest layer is the painting as it is. */
export async function correctionTask({ file, layers, as, across }: CorrectionTask): Promise<Uint8Array> {
  const picture = await linearPicture(file, across);
  if (as === 'layers') return asLayers(picture, layers);
  const after = corrected(picture, layers);
  if (as === 'png') return banded(after);
  return imageOf(after)
    .withExif({ IFD0: { ImageDescription: SAID } })
    .jpeg({ quality: 92, chromaSubsampling: '4:4:4' })
    .toBuffer();
}
