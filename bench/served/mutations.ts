/** Files as nobody should send them: whole ones of every kind that is taken, and what becomes of them on bad ways. */
import type { Chance } from '@/devices/random';
import { readFileSync } from 'node:fs';
import { buffer } from 'node:stream/consumers';
import sharp from 'sharp';
import yazl from 'yazl';

export interface Whole {
  readonly name: string;
  readonly bytes: Buffer;
}

const [WIDE, TALL] = [640, 480];

async function zipOf(pictures: readonly Whole[]): Promise<Buffer> {
  const zip = new yazl.ZipFile();
  for (const { name, bytes } of pictures) zip.addBuffer(bytes, name);
  zip.end();
  return buffer(zip.outputStream);
}

/** One of each kind of picture, and a ZIP of some. */
export async function wholeFiles(own: Chance): Promise<Whole[]> {
  const data = Buffer.from(Array.from({ length: 3 * WIDE * TALL }, () => own.whole(0, 255)));
  const noise = sharp(data, { raw: { width: WIDE, height: TALL, channels: 3 } });
  const pictures: Whole[] = [
    {
      name: 'a.jpg',
      bytes: await noise
        .clone()
        .withExif({ IFD0: { Artist: 'Nobody' } })
        .jpeg()
        .toBuffer(),
    },
    { name: 'a.png', bytes: await noise.clone().png().toBuffer() },
    { name: 'a.webp', bytes: await noise.clone().webp().toBuffer() },
    { name: 'a.tiff', bytes: await noise.clone().tiff().toBuffer() },
    { name: 'a.avif', bytes: await noise.clone().avif({ effort: 0 }).toBuffer() },
    { name: 'a.heic', bytes: readFileSync('src/workers/decoding/fixtures/sheet.heic') },
  ];
  return [...pictures, { name: 'a.zip', bytes: await zipOf(pictures.slice(0, 3)) }];
}

/** Text that is brought in by pasting: readings, figures, swatches, preparations. */
export const WHOLE_TEXTS = [
  'step,L*\n1,96.5\n2,88.1\n',
  'id,L,a,b\nA1,96.1,0.2,-0.1\nA2,20.4,0,0.3\n',
  'GIMP Palette\nName: greys\n255 255 255 white\n0 0 0 black\n',
  '{"version":1,"tones":3,"ends":{"white":96,"black":18}}',
] as const;

const part = (own: Chance, length: number): [number, number] => {
  const [a, b] = [own.whole(0, length), own.whole(0, length)];
  return [Math.min(a, b), Math.max(a, b)];
};

/** A file in which bytes were changed, lost, doubled or put in; or its head on another's body. */
export function mutated(own: Chance, { bytes }: Whole, other: Whole): Buffer {
  const copy = Buffer.from(bytes);
  const head = own.next() < 0.5 ? Math.min(600, copy.length) : copy.length;
  switch (own.whole(0, 6)) {
    case 0:
      for (let k = own.whole(1, 40); k > 0; k--) copy[own.whole(0, head - 1)] = own.whole(0, 255);
      return copy;
    case 1:
      return copy.subarray(0, own.whole(0, copy.length));
    case 2:
      return copy.fill(own.next() < 0.5 ? 0 : 255, ...part(own, head));
    case 3: {
      const [from, to] = part(own, head);
      return Buffer.concat([copy.subarray(0, to), copy.subarray(from)]);
    }
    case 4: {
      const [from, to] = part(own, head);
      return Buffer.concat([copy.subarray(0, from), copy.subarray(to)]);
    }
    case 5:
      return Buffer.concat([other.bytes.subarray(0, own.whole(4, 60)), copy.subarray(own.whole(4, 60))]);
    default: {
      // Lengths and sizes that are far beyond what is there.
      const at = own.whole(0, Math.max(0, head - 4));
      copy.writeUInt32BE(own.next() < 0.5 ? 0xffffffff : 0x7fffffff, Math.min(at, Math.max(0, copy.length - 4)));
      return copy;
    }
  }
}

/** The same of a text, in which letters of all scripts and none may stand. */
export function mutatedText(own: Chance, text: string): string {
  const at = own.whole(0, text.length);
  const odd = [
    '\u0000',
    '\u202e',
    '\ud800',
    '9'.repeat(400),
    '=1+1',
    '{"__proto__":1}',
    ',,,,',
    '\n'.repeat(50),
    '-1e999',
  ];
  return text.slice(0, at) + (odd[own.whole(0, odd.length - 1)] ?? '') + text.slice(own.whole(at, text.length));
}
