/** A picture of a pile: which sheets are in it, and each of several cut out so that it can go its own way. */
import { sortSheets } from '@/core/capture/sort-sheets';
import type { Point } from '@/core/geometry/point';
import type { Photo } from '@/core/raster/photo';
import type { SheetTag } from '@/core/sheet/qr';
import sharp, { type Sharp } from 'sharp';
import { withPhoto } from '../decoding/decode';
import { loadOpenCv } from '../decoding/opencv';
import { readQr } from '../decoding/read-qr';
import { turned } from './pictures';

export interface SortTask {
  readonly task: 'sort';
  readonly file: string;
}

export interface SortedPicture {
  readonly sheets: readonly {
    readonly tag: SheetTag | null;
    /** Its own picture, upright PNG, where it is one of several; and a small one for the tray. */ readonly cut: Uint8Array | null;
    readonly small: Uint8Array;
  }[];
  readonly say: string | null;
  /** A small picture for the tray. */
  readonly small: Uint8Array;
}

const MARGIN = 0.02;
const SMALL_PX = 480;
/** What lies outside a sheet that is cut out: a table's grey, with nothing printed on it. */
const OUTSIDE = 96;

/** The sheet with a little room round it; other sheets of the picture are blanked. */
async function cutOut(photo: Photo, corners: readonly Point[]): Promise<Uint8Array> {
  const [xs, ys] = [corners.map((c) => c.x), corners.map((c) => c.y)];
  const room = MARGIN * Math.max(Math.max(...xs) - Math.min(...xs), Math.max(...ys) - Math.min(...ys));
  const middle = { x: xs.reduce((a, b) => a + b, 0) / 4, y: ys.reduce((a, b) => a + b, 0) / 4 };
  const quad = corners.map((c) => {
    const length = Math.hypot(c.x - middle.x, c.y - middle.y);
    return { x: c.x + ((c.x - middle.x) / length) * room, y: c.y + ((c.y - middle.y) / length) * room };
  });
  const clampTo = (v: number, most: number) => Math.min(most, Math.max(0, Math.round(v)));
  const [x0, x1] = [
    clampTo(Math.min(...quad.map((c) => c.x)), photo.width - 1),
    clampTo(Math.max(...quad.map((c) => c.x)), photo.width - 1),
  ];
  const [y0, y1] = [
    clampTo(Math.min(...quad.map((c) => c.y)), photo.height - 1),
    clampTo(Math.max(...quad.map((c) => c.y)), photo.height - 1),
  ];
  const [width, height] = [x1 - x0 + 1, y1 - y0 + 1];
  const out = new Uint8Array(width * height * 3).fill(OUTSIDE);
  const inside = (x: number, y: number) =>
    quad.every((c, i) => {
      const n = quad[(i + 1) % 4] as Point;
      return (n.x - c.x) * (y - c.y) - (n.y - c.y) * (x - c.x) >= 0;
    });
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      if (!inside(x + x0 + 0.5, y + y0 + 0.5)) continue;
      const p = photo.origin + (y + y0) * photo.alongY + (x + x0) * photo.alongX;
      for (let c = 0; c < 3; c++) out[(y * width + x) * 3 + c] = photo.stored.data[p + c] as number;
    }
  return sharp(out, { raw: { width, height, channels: 3 } })
    .png({ compressionLevel: 3 })
    .toBuffer();
}

const smallOf = (image: Sharp): Promise<Buffer> =>
  image
    .resize({ width: SMALL_PX, height: SMALL_PX, fit: 'inside', withoutEnlargement: true })
    .jpeg({ quality: 80 })
    .toBuffer();

/** Throws UnusablePicture when the file is no photograph. */
export function sortPicture({ file }: SortTask): Promise<SortedPicture> {
  return withPhoto(file, null, sorted);
}

async function sorted(photo: Photo): Promise<SortedPicture> {
  const { cv } = await loadOpenCv();
  const { sheets, say } = await sortSheets(photo, { cv, readQr });
  const { data, width, height } = photo.stored;
  const small = await smallOf(turned(sharp(data, { raw: { width, height, channels: 3 } }), photo.orientation));
  const several = sheets.length > 1;
  const cut: SortedPicture['sheets'][number][] = [];
  for (const s of sheets) {
    const own = several ? await cutOut(photo, s.corners) : null;
    cut.push({ tag: s.tag, cut: own, small: own ? await smallOf(sharp(own)) : small });
  }
  return { sheets: cut, say, small };
}
