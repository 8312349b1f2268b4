/** Reduced grey copies of a photograph, for finding things; nothing is measured on them. */
import type { Photo } from './photo';

export interface GreyCopy {
  readonly data: Uint8Array;
  readonly width: number;
  readonly height: number;
  /** Whole number of photo pixels along one pixel of the copy. */
  readonly factor: number;
}

/**
 * Means of four green codes, spread evenly over squares of whole pixels, at most `longSide` large. Four are
 * enough: neighbours in a photograph say nearly the same, and reading them all takes five times as long.
 */
export function reduceToGrey(photo: Photo, longSide: number): GreyCopy {
  const factor = Math.max(1, Math.ceil(Math.max(photo.width, photo.height) / longSide));
  const width = Math.floor(photo.width / factor);
  const height = Math.floor(photo.height / factor);
  const data = new Uint8Array(width * height);
  // Pixels are visited in the order in which they are stored; of a picture on its side that is by columns.
  const byColumns = Math.abs(photo.alongX) > Math.abs(photo.alongY);
  const [lines, places] = byColumns ? [width, height] : [height, width];
  const [toLine, toPlace] = byColumns ? [1, width] : [width, 1];
  const [acrossLines, alongLine] = byColumns ? [photo.alongX, photo.alongY] : [photo.alongY, photo.alongX];
  const near = Math.floor(factor / 4);
  const far = Math.floor((3 * factor) / 4);
  const green = photo.origin + 1;
  const source = photo.stored.data;
  for (let line = 0; line < lines; line++) {
    let a = green + (line * factor + near) * acrossLines + near * alongLine;
    let b = a + (far - near) * acrossLines;
    const aside = (far - near) * alongLine;
    for (let place = 0; place < places; place++, a += factor * alongLine, b += factor * alongLine) {
      const sum =
        (source[a] as number) + (source[a + aside] as number) + (source[b] as number) + (source[b + aside] as number);
      data[line * toLine + place * toPlace] = sum >> 2;
    }
  }
  return { data, width, height, factor };
}
