import { deflateSync } from 'node:zlib';
import sharp from 'sharp';
import { pngWithProfile } from './png-profile';

const picture = () => sharp({ create: { width: 5, height: 3, channels: 3, background: '#8a5533' } });

test('a profile goes into a PNG whole, and the codes stay as they are', async () => {
  const { icc } = await sharp(await picture().withIccProfile('p3').jpeg().toBuffer()).metadata();
  if (!icc) throw new Error('The sample carries no profile.');
  const plain = await picture().png().toBuffer();
  const png = Buffer.from(pngWithProfile(plain, deflateSync(icc)));
  const meta = await sharp(png).metadata();
  expect([meta.format, meta.width, meta.height]).toEqual(['png', 5, 3]);
  expect(Buffer.compare(meta.icc ?? Buffer.alloc(0), icc)).toBe(0);
  const codes = (file: Buffer) => sharp(file, { ignoreIcc: true }).raw().toBuffer();
  expect(Buffer.compare(await codes(png), await codes(plain))).toBe(0);
});

test('the check sum is the one that every reader of PNG checks', async () => {
  const plain = await picture().png().toBuffer();
  const png = pngWithProfile(plain, deflateSync(Buffer.from('not a profile')));
  const view = new DataView(png.buffer, png.byteOffset);
  const length = view.getUint32(33);
  const chunk = png.subarray(37, 41 + length);
  expect(new TextDecoder().decode(chunk.subarray(0, 4))).toBe('iCCP');
  // CRC-32 bit by bit, written apart from the table of the code.
  let c = 0xffffffff;
  for (const byte of chunk)
    for (let k = 0, b = byte; k < 8; k++, b >>>= 1) c = (c ^ b) & 1 ? (c >>> 1) ^ 0xedb88320 : c >>> 1;
  expect(view.getUint32(41 + length)).toBe((c ^ 0xffffffff) >>> 0);
});
