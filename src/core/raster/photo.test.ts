import sharp from 'sharp';
import { type Orientation, uprightPhoto } from './photo';
import { raster } from './raster';
import { reduceToGrey } from './reduce';

const [WIDTH, HEIGHT] = [5, 3];
const codes = Uint8Array.from({ length: WIDTH * HEIGHT * 3 }, (_, i) => (i * 37) % 251);

/** Codes of the photograph in reading order, as a reader of it meets them. */
function seen(orientation: Orientation): number[] {
  const photo = uprightPhoto(raster('srgb8', WIDTH, HEIGHT, 3, codes), orientation);
  const out: number[] = [];
  for (let y = 0; y < photo.height; y++)
    for (let x = 0; x < photo.width; x++)
      for (let c = 0; c < 3; c++)
        out.push(photo.stored.data[photo.origin + y * photo.alongY + x * photo.alongX + c] ?? -1);
  return out;
}

test.each([1, 2, 3, 4, 5, 6, 7, 8] as const)(
  'orientation %i is seen as an image library turns it',
  async (orientation) => {
    const tagged = await sharp(codes, { raw: { width: WIDTH, height: HEIGHT, channels: 3 } })
      .withMetadata({ orientation })
      .png()
      .toBuffer();
    const { data, info } = await sharp(tagged).autoOrient().removeAlpha().raw().toBuffer({ resolveWithObject: true });
    const photo = uprightPhoto(raster('srgb8', WIDTH, HEIGHT, 3, codes), orientation);
    expect([photo.width, photo.height]).toEqual([info.width, info.height]);
    expect(seen(orientation)).toEqual([...data]);
  },
);

test('a reduced copy is upright whichever way the picture is stored', () => {
  const [w, h] = [40, 24];
  const ramp = Uint8Array.from({ length: w * h * 3 }, (_, i) => 5 * (Math.floor(i / 3) % w));
  for (const orientation of [1, 6, 8] as const) {
    const grey = reduceToGrey(uprightPhoto(raster('srgb8', w, h, 3, ramp), orientation), 10);
    expect([grey.width, grey.height, grey.factor]).toEqual(orientation === 1 ? [10, 6, 4] : [6, 10, 4]);
    const [first, last] = [grey.data[0] ?? 0, grey.data.at(-1) ?? 0];
    // The light side of the stored picture is at the right, below, or above.
    expect(Math.sign(last - first)).toBe(orientation === 8 ? -1 : 1);
  }
});

test('a raster must be as long as it says', () => {
  expect(() => raster('srgb8', 2, 2, 3, new Uint8Array(11))).toThrow(RangeError);
  expect(() => raster('srgb8', 0, 2, 3, new Uint8Array(0))).toThrow(/whole sizes/);
});
