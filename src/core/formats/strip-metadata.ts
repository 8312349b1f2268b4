/**
 * Takes out of a picture file what says where, when and by whom it was taken, byte by byte: the pixels
 * are never compressed anew. Whatever stands after the end of the image goes too. What is needed to
 * show the pixels rightly (colour profile, Adobe's marker of the colour transform) stays.
 */

function concat(parts: readonly Uint8Array[]): Uint8Array {
  const out = new Uint8Array(parts.reduce((n, p) => n + p.length, 0));
  let at = 0;
  for (const part of parts) {
    out.set(part, at);
    at += part.length;
  }
  return out;
}

function startsWith(bytes: Uint8Array, at: number, text: string): boolean {
  for (let i = 0; i < text.length; i++) if (bytes[at + i] !== text.charCodeAt(i)) return false;
  return true;
}

/** Frames, scans, their tables and intervals: all that a decoder makes pixels of. */
const isOfPixels = (marker: number): boolean =>
  (marker >= 0xc0 && marker <= 0xcf) || (marker >= 0xda && marker <= 0xdd);
/** A JFIF header up to its thumbnail (ITU-T T.871): marker, length, name, version, densities. */
const JFIF_BYTES = 18;

/** What stays of a segment; null where nothing does. A small picture of the picture can stand in a header too. */
function keptOfJpeg(marker: number, segment: Uint8Array): Uint8Array | null {
  if (isOfPixels(marker)) return segment;
  if (marker === 0xe2 && startsWith(segment, 4, 'ICC_PROFILE\0')) return segment;
  if (marker === 0xee && startsWith(segment, 4, 'Adobe')) return segment;
  if (marker !== 0xe0 || segment.length < JFIF_BYTES || !startsWith(segment, 4, 'JFIF\0')) return null;
  const header = segment.slice(0, JFIF_BYTES);
  header.set([0, JFIF_BYTES - 2], 2);
  header.set([0, 0], JFIF_BYTES - 2);
  return header;
}

/** JPEG after ITU-T T.81, annex B. */
function stripJpeg(b: Uint8Array): Uint8Array {
  const kept: Uint8Array[] = [b.subarray(0, 2)];
  let at = 2;
  while (at + 2 <= b.length) {
    if (b[at] !== 0xff) throw new RangeError('A JPEG marker was expected and is not there.');
    const marker = b[at + 1] as number;
    if (marker === 0xff) {
      at++;
      continue;
    }
    if (marker === 0xd9) {
      kept.push(b.subarray(at, at + 2));
      return concat(kept);
    }
    const length = ((b[at + 2] as number) << 8) | (b[at + 3] as number);
    const end = at + 2 + length;
    if (length < 2 || end > b.length) throw new RangeError('A JPEG segment is cut off.');
    const segment = keptOfJpeg(marker, b.subarray(at, end));
    if (segment) kept.push(segment);
    at = end;
    if (marker !== 0xda) continue;
    // Entropy-coded data run to the next marker that is neither a stuffed zero nor a restart.
    const from = at;
    while (
      at + 1 < b.length &&
      !(b[at] === 0xff && b[at + 1] !== 0 && !((b[at + 1] as number) >= 0xd0 && (b[at + 1] as number) <= 0xd7))
    )
      at++;
    kept.push(b.subarray(from, at));
  }
  throw new RangeError('The JPEG has no end.');
}

const PNG_KEPT = new Set(['IHDR', 'PLTE', 'IDAT', 'IEND', 'tRNS', 'gAMA', 'cHRM', 'sRGB', 'iCCP', 'pHYs', 'sBIT']);

/** PNG, third edition, section 5. */
function stripPng(b: Uint8Array): Uint8Array {
  const view = new DataView(b.buffer, b.byteOffset, b.byteLength);
  const kept: Uint8Array[] = [b.subarray(0, 8)];
  let at = 8;
  while (at + 12 <= b.length) {
    const end = at + 12 + view.getUint32(at);
    if (end > b.length) throw new RangeError('A PNG chunk is cut off.');
    const name = String.fromCharCode(...b.subarray(at + 4, at + 8));
    if (PNG_KEPT.has(name)) kept.push(b.subarray(at, end));
    at = end;
    if (name === 'IEND') return concat(kept);
  }
  throw new RangeError('The PNG has no end.');
}

/** WebP container, RFC 9649, section 2.7. */
function stripWebp(b: Uint8Array): Uint8Array {
  const view = new DataView(b.buffer, b.byteOffset, b.byteLength);
  const end = 8 + view.getUint32(4, true);
  if (end > b.length) throw new RangeError('The WebP is cut off.');
  const kept: Uint8Array[] = [];
  let at = 12;
  while (at + 8 <= end) {
    const size = view.getUint32(at + 4, true);
    const next = at + 8 + size + (size & 1);
    if (next > b.length) throw new RangeError('A WebP chunk is cut off.');
    const name = String.fromCharCode(...b.subarray(at, at + 4));
    if (name === 'VP8X') {
      const copy = b.slice(at, next);
      copy[8] = (copy[8] as number) & ~0x0c;
      kept.push(copy);
    } else if (name !== 'EXIF' && name !== 'XMP ') kept.push(b.subarray(at, next));
    at = next;
  }
  const body = concat(kept);
  const head = new Uint8Array(12);
  head.set(b.subarray(0, 12));
  new DataView(head.buffer).setUint32(4, body.length + 4, true);
  return concat([head, body]);
}

export type PhotoType = 'image/jpeg' | 'image/png' | 'image/webp';

/** What a file is, by its first bytes; null for anything else. */
export function photoTypeOf(b: Uint8Array): PhotoType | null {
  if (b[0] === 0xff && b[1] === 0xd8) return 'image/jpeg';
  if (startsWith(b, 0, '\x89PNG\r\n\x1a\n')) return 'image/png';
  if (startsWith(b, 0, 'RIFF') && startsWith(b, 8, 'WEBP')) return 'image/webp';
  return null;
}

/** The file without its metadata. Throws RangeError when it is none of JPEG, PNG, WebP or is cut off. */
export function stripMetadata(bytes: Uint8Array): { bytes: Uint8Array; type: PhotoType } {
  const type = photoTypeOf(bytes);
  switch (type) {
    case 'image/jpeg':
      return { bytes: stripJpeg(bytes), type };
    case 'image/png':
      return { bytes: stripPng(bytes), type };
    case 'image/webp':
      return { bytes: stripWebp(bytes), type };
    case null:
      throw new RangeError('Not a JPEG, PNG or WebP file.');
  }
}
