/** QR codes by zxing. */
import type { GreyPicture } from '@/core/capture/qr-crop';
import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { prepareZXingModule, readBarcodes } from 'zxing-wasm/reader';

let prepared = false;

/** The package would fetch its WebAssembly from the network; it is read from the package instead. */
function prepare(): void {
  if (prepared) return;
  const require = createRequire(import.meta.url);
  const file = readFileSync(require.resolve('zxing-wasm/reader/zxing_reader.wasm'));
  const wasmBinary = file.buffer.slice(file.byteOffset, file.byteOffset + file.byteLength) as ArrayBuffer;
  prepareZXingModule({ overrides: { wasmBinary } });
  prepared = true;
}

/** The text of the one QR code in a grey picture, or null. */
export async function readQr(picture: GreyPicture): Promise<string | null> {
  prepare();
  const rgba = new Uint8ClampedArray(picture.data.length * 4).fill(255);
  for (let i = 0, p = 0; p < rgba.length; i++, p += 4) rgba[p] = rgba[p + 1] = rgba[p + 2] = picture.data[i] as number;
  const image = { data: rgba, width: picture.width, height: picture.height, colorSpace: 'srgb' } as ImageData;
  const look = (tryHarder: boolean) => readBarcodes(image, { formats: ['QRCode'], tryHarder, maxNumberOfSymbols: 1 });
  // Most codes are read at the first look.
  const quick = await look(false);
  const found = quick.length > 0 ? quick : await look(true);
  return found[0]?.text ?? null;
}
