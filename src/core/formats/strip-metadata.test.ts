import sharp from 'sharp';
import { stripMetadata } from './strip-metadata';

const picture = () => sharp({ create: { width: 40, height: 30, channels: 3, background: '#777' } });
const place = { IFD3: { GPSLatitudeRef: 'N', GPSLatitude: '11/1 22/1 33/1' }, IFD0: { Make: 'Practice camera' } };

test.each(['jpeg', 'png', 'webp'] as const)('a %s keeps its pixels and loses where it was taken', async (format) => {
  const whole = await picture().withExif(place).toFormat(format).toBuffer();
  expect((await sharp(whole).metadata()).exif).toBeDefined();
  const { bytes } = stripMetadata(whole);
  expect((await sharp(bytes).metadata()).exif).toBeUndefined();
  expect(Buffer.from(bytes).includes('Practice camera')).toBe(false);
  expect(await sharp(bytes).raw().toBuffer()).toEqual(await sharp(whole).raw().toBuffer());
});

test('what stands after the end of a JPEG goes', async () => {
  const whole = await picture().jpeg().toBuffer();
  const { bytes } = stripMetadata(Buffer.concat([whole, Buffer.from('a hidden second file')]));
  expect(Buffer.from(bytes).includes('hidden')).toBe(false);
});

test('what is no photograph is refused', () => {
  expect(() => stripMetadata(Buffer.from('<svg/>'))).toThrow('Not a JPEG, PNG or WebP file.');
});

test.each(['jpeg', 'png', 'webp'] as const)('a %s that was cut off is told, not mended', async (format) => {
  const whole = await sharp({
    create: {
      width: 300,
      height: 200,
      channels: 3,
      background: '#777',
      noise: { type: 'gaussian', mean: 120, sigma: 40 },
    },
  })
    .toFormat(format)
    .toBuffer();
  for (const share of [0.02, 0.3, 0.7, 0.99])
    expect(() => stripMetadata(whole.subarray(0, Math.floor(share * whole.length)))).toThrow(RangeError);
  expect(() => stripMetadata(whole)).not.toThrow();
});
