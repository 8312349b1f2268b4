/** What people send that is no photograph of theirs: each gets one sentence that says what to do. */
import { deflateSync } from 'node:zlib';
import sharp from 'sharp';
import { decodePhoto, inspectPicture, UnusablePicture, withPhoto } from './decode';

const plain = (width = 40, height = 30) => sharp({ create: { width, height, channels: 3, background: '#888' } });

const say = async (bytes: Buffer): Promise<string> =>
  decodePhoto(bytes).then(
    () => 'accepted',
    (error: unknown) => {
      expect(error).toBeInstanceOf(UnusablePicture);
      return (error as Error).message;
    },
  );

/** A PNG header that claims sizes its few bytes can't hold. */
function claimingPng(width: number, height: number): Buffer {
  const chunk = (type: string, data: Buffer) => {
    const body = Buffer.concat([Buffer.from(type), data]);
    const out = Buffer.alloc(body.length + 8);
    out.writeUInt32BE(data.length, 0);
    body.copy(out, 4);
    out.writeUInt32BE(crc(body), body.length + 4);
    return out;
  };
  const crc = (b: Buffer) => {
    let c = ~0;
    for (const byte of b) {
      c ^= byte;
      for (let k = 0; k < 8; k++) c = (c >>> 1) ^ (c & 1 ? 0xedb88320 : 0);
    }
    return ~c >>> 0;
  };
  const header = Buffer.alloc(13);
  header.writeUInt32BE(width, 0);
  header.writeUInt32BE(height, 4);
  header.set([8, 2, 0, 0, 0], 8);
  return Buffer.concat([
    Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a]),
    chunk('IHDR', header),
    chunk('IDAT', deflateSync(Buffer.alloc(1000))),
    chunk('IEND', Buffer.alloc(0)),
  ]);
}

test('JPEG, PNG and WebP are read', async () => {
  for (const bytes of [
    await plain().jpeg().toBuffer(),
    await plain().png().toBuffer(),
    await plain().webp().toBuffer(),
  ]) {
    const photo = await decodePhoto(bytes);
    expect([photo.width, photo.height, photo.stored.channels]).toEqual([40, 30, 3]);
  }
});

test('grey and see-through pictures become three channels on white', async () => {
  expect((await decodePhoto(await plain().greyscale().jpeg().toBuffer())).stored.data).toHaveLength(40 * 30 * 3);
  const clear = await sharp({
    create: { width: 4, height: 4, channels: 4, background: { r: 0, g: 0, b: 0, alpha: 0 } },
  })
    .png()
    .toBuffer();
  expect((await decodePhoto(clear)).stored.data[0]).toBe(255);
});

test('the orientation comes from the file, or from what was kept of it', async () => {
  const tagged = await plain().withMetadata({ orientation: 6 }).jpeg().toBuffer();
  expect((await decodePhoto(tagged)).width).toBe(30);
  const bare = await plain().jpeg().toBuffer();
  expect((await decodePhoto(bare, 8)).width).toBe(30);
  expect((await decodePhoto(bare, 99)).width).toBe(40);
});

test('a file that is no picture', async () => {
  expect(await say(Buffer.from('Dear Hesper, here is my sheet.'))).toMatch(
    /not a picture .* JPEG, HEIC, PNG, WebP, AVIF or TIFF/,
  );
  expect(await say(Buffer.alloc(0))).toMatch(/not a picture/);
});

test('a drawing, a moving picture, one made for a press', async () => {
  expect(await say(Buffer.from('<svg xmlns="http://www.w3.org/2000/svg" width="10" height="10"/>'))).toBe(
    'This is an SVG file: send a photograph as JPEG, HEIC, PNG, WebP, AVIF or TIFF.',
  );
  const frames = await sharp({ create: { width: 8, height: 16, channels: 3, background: '#888', pageHeight: 8 } })
    .webp()
    .toBuffer()
    .catch(() => null);
  if (frames) expect(await say(frames)).toBe('accepted');
  const moving = await sharp(
    [
      await plain(8, 8).png().toBuffer(),
      await sharp({ create: { width: 8, height: 8, channels: 3, background: '#000' } })
        .png()
        .toBuffer(),
    ],
    { join: { animated: true } },
  )
    .webp({ loop: 0 })
    .toBuffer();
  expect(await say(moving)).toMatch(/moves/);
  expect(await say(await plain().toColourspace('cmyk').jpeg().toBuffer())).toMatch(/CMYK/);
});

test('a photograph that was cut off on its way', async () => {
  const whole = await sharp({
    create: {
      width: 400,
      height: 300,
      channels: 3,
      background: '#888',
      noise: { type: 'gaussian', mean: 120, sigma: 40 },
    },
  })
    .jpeg()
    .toBuffer();
  expect(await say(whole.subarray(0, Math.floor(whole.length / 2)))).toMatch(/damaged or not complete/);
});

test('more pixels than can be read, told from the header alone', async () => {
  expect(await say(claimingPng(10_000, 6_001))).toMatch(/60 megapixels; up to 60/);
  expect(await say(claimingPng(60_000, 60_000))).toMatch(/3600 megapixels/);
  expect(await say(claimingPng(5_000, 5_000))).toMatch(/damaged/);
});

test('the error is known by its name: a worker pool may have been opened by another copy of its class', () => {
  expect(Object.assign(new Error('Send it once more.'), { name: 'UnusablePicture' })).toBeInstanceOf(UnusablePicture);
  expect(new UnusablePicture('Send it once more.')).toBeInstanceOf(UnusablePicture);
  for (const other of [new Error('UnusablePicture'), { name: 'UnusablePicture' }, null, 'UnusablePicture'])
    expect(other instanceof UnusablePicture).toBe(false);
});

test('memory of a photograph is taken for the next one, and never while it is looked at', async () => {
  const [dark, light] = await Promise.all(
    ['#111', '#eee'].map((background) =>
      sharp({ create: { width: 40, height: 30, channels: 3, background } })
        .png()
        .toBuffer(),
    ),
  );
  const spare = await withPhoto(dark!, null, async (outer) => {
    const inner = await withPhoto(light!, null, (photo) => photo.stored.data);
    expect([outer.stored.data[0], inner[0]]).toEqual([0x11, 0xee]);
    return inner.buffer;
  });
  await withPhoto(light!, null, (next) => {
    expect(next.stored.data.buffer).toBe(spare);
    expect([...new Set(next.stored.data)]).toEqual([0xee]);
  });
  await expect(withPhoto(dark!, null, () => Promise.reject(new Error('stopped')))).rejects.toThrow('stopped');
});

test.each([
  [30_000, 10],
  [1, 60_000],
])('a strip of %i by %i is told, before anything is made of it', async (width, height) => {
  const strip = await sharp({ create: { width, height, channels: 3, background: '#777' } })
    .png()
    .toBuffer();
  await expect(inspectPicture(strip)).rejects.toThrow('far longer than it is wide');
});
