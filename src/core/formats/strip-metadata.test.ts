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

test('a small picture in the header of a JPEG goes, and so does every segment that makes no pixels', async () => {
  const plain = await sharp({ create: { width: 16, height: 16, channels: 3, background: '#a08060' } })
    .jpeg()
    .toBuffer();
  const thumbnail = Buffer.from('a face');
  const segment = (marker: number, content: Buffer) =>
    Buffer.concat([Buffer.from([0xff, marker, 0, content.length + 2]), content]);
  const jfif = Buffer.from([...Buffer.from('JFIF\0'), 1, 2, 1, 0, 72, 0, 72, 1, 2]);
  const file = Buffer.concat([
    plain.subarray(0, 2),
    segment(0xe0, Buffer.concat([jfif, thumbnail])),
    segment(0xe0, Buffer.concat([Buffer.from('JFXX\0'), thumbnail])),
    segment(0xee, Buffer.from('Nobody knows: a face')),
    segment(0xef, thumbnail),
    plain.subarray(plain.indexOf(Buffer.from([0xff, 0xdb]))),
  ]);
  expect(file.includes(thumbnail)).toBe(true);
  const { bytes } = stripMetadata(new Uint8Array(file));
  expect(Buffer.from(bytes).includes(thumbnail)).toBe(false);
  const [before, after] = await Promise.all([file, Buffer.from(bytes)].map((b) => sharp(b).raw().toBuffer()));
  expect(after).toEqual(before);
});
