/** Swatches as a GPL text, the open palette format: a heading, then red, green, blue and a name on each line. */
import { labToLinearRgb, linearRgbToLab } from '../colour/lab';
import { linearToCode, srgbToLinear, type Triple } from '../colour/srgb';

export interface Swatch {
  readonly name: string;
  readonly rgb: readonly [number, number, number];
}

/** The file holds no swatches; `message` says what to change. */
export class BadSwatches extends Error {
  override readonly name = 'BadSwatches';
}

const MOST = 256;
const code = (linear: number): number => Math.round(linearToCode(Math.min(1, Math.max(0, linear))));

/** Colours as 8-bit sRGB, clipped where they lie outside. */
export function gplColours(colours: readonly { readonly name: string; readonly lab: Triple }[]): Swatch[] {
  return colours.map(({ name, lab }) => {
    const [r, g, b] = labToLinearRgb(lab);
    return { name, rgb: [code(r), code(g), code(b)] };
  });
}

/** Swatches (sRGB codes 0 to 255) as a GPL palette. */
export function formatGpl(name: string, swatches: readonly Swatch[]): string {
  const line = (s: Swatch) =>
    `${s.rgb.map((v) => String(v).padStart(3)).join(' ')}\t${s.name.replace(/[\r\n\t]/g, ' ')}`;
  return ['GIMP Palette', `Name: ${name.replace(/[\r\n]/g, ' ')}`, 'Columns: 9', '#', ...swatches.map(line), ''].join(
    '\n',
  );
}

/** Reads swatches; throws BadSwatches with what to change. */
export function parseGpl(text: string): Swatch[] {
  const lines = text.replace(/^\uFEFF/, '').split(/\r?\n/);
  if (lines[0]?.trim() !== 'GIMP Palette')
    throw new BadSwatches('This is no GPL palette: its first line names another format.');
  const swatches = lines.slice(1).flatMap((line, i): Swatch[] => {
    if (line.trim() === '' || /^\s*#/.test(line) || /^(Name|Columns):/.test(line)) return [];
    const found = /^\s*(\d{1,3})\s+(\d{1,3})\s+(\d{1,3})(?:\s+(.*))?$/.exec(line);
    const rgb = found?.slice(1, 4).map(Number);
    if (!found || !rgb || rgb.some((v) => v > 255))
      throw new BadSwatches(`Line ${i + 2} is no colour: three numbers of 0 to 255 and a name are.`);
    return [{ name: (found[4] ?? '').trim(), rgb: [rgb[0] ?? 0, rgb[1] ?? 0, rgb[2] ?? 0] }];
  });
  if (swatches.length > MOST)
    throw new BadSwatches(
      `This palette has ${swatches.length} colours: ${MOST} at most can be compared with a studio’s paints.`,
    );
  return swatches;
}

export const swatchLab = ({ rgb: [r, g, b] }: Swatch): Triple =>
  linearRgbToLab([srgbToLinear(r / 255), srgbToLinear(g / 255), srgbToLinear(b / 255)]);
