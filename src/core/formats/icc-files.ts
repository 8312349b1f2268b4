/** Colour profiles taken out of picture files whose decoder does not hand them on, and put into others. */

const ascii = (b: Uint8Array, at: number, length: number): string =>
  String.fromCharCode(...b.subarray(at, at + length));

/** The profile in a HEIF file's `colr` box of kind `prof` or `rICC` (ISO 14496-12, section 12.1.5); null where there is none. */
export function heifProfile(bytes: Uint8Array): Uint8Array | null {
  // Properties stand before the pixels, in the file's first part.
  const end = Math.min(bytes.length - 12, 1 << 20);
  for (let at = 4; at < end; at++) {
    if (bytes[at] !== 0x63 || ascii(bytes, at, 4) !== 'colr' || !['prof', 'rICC'].includes(ascii(bytes, at + 4, 4)))
      continue;
    const size = new DataView(bytes.buffer, bytes.byteOffset).getUint32(at - 4);
    if (size > 140 && at - 4 + size <= bytes.length) return bytes.slice(at + 8, at - 4 + size);
  }
  return null;
}

const HEIF_BRANDS = ['heic', 'heix', 'hevc', 'hevx', 'mif1', 'msf1', 'heim', 'heis'];

/** Whether the file is HEIC by its brand; AVIF, which has the same frame, is not. */
export function isHeic(b: Uint8Array): boolean {
  if (b.length < 16 || ascii(b, 4, 4) !== 'ftyp') return false;
  const size = Math.min(b.length, new DataView(b.buffer, b.byteOffset).getUint32(0));
  const brands = [ascii(b, 8, 4)];
  for (let at = 16; at + 4 <= size; at += 4) brands.push(ascii(b, at, 4));
  return !brands.includes('avif') && brands.some((x) => HEIF_BRANDS.includes(x));
}
