/** A sheet as 8-bit PNG at a resolution, for printers that take pictures and for the simulated one. */
import type { SheetDrawing } from '@/core/sheet/drawing';
import sharp from 'sharp';
import { sheetToSvg } from './sheet-svg';

export const MIN_DPI = 150;
export const MAX_DPI = 600;

/** PNG bytes. Throws RangeError when the resolution is not a whole number from 150 to 600. */
export async function sheetToPng(sheet: SheetDrawing, dpi: number): Promise<Buffer> {
  if (!Number.isInteger(dpi) || dpi < MIN_DPI || dpi > MAX_DPI)
    throw new RangeError(`The resolution must be ${MIN_DPI} to ${MAX_DPI} dpi, got ${dpi}.`);
  const width = Math.round((sheet.widthMm / 25.4) * dpi);
  const height = Math.round((sheet.heightMm / 25.4) * dpi);
  const svg = sheetToSvg(sheet).replace(
    /width="[\d.]+mm" height="[\d.]+mm"/,
    `width="${width}" height="${height}" preserveAspectRatio="none"`,
  );
  const inColour = sheet.marks.some((m) => m.kind === 'fill' && typeof m.code !== 'number');
  return sharp(Buffer.from(svg), { limitInputPixels: 60_000_000 })
    .flatten({ background: '#fff' })
    .toColourspace(inColour ? 'srgb' : 'b-w')
    .withMetadata({ density: dpi })
    .png()
    .toBuffer();
}
