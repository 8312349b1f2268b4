import { mkdtempSync, readFileSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { buffer } from 'node:stream/consumers';
import yazl from 'yazl';
import { MAX_ENTRIES, unzip } from './unzip';

const folder = mkdtempSync(path.join(tmpdir(), 'fair-grey-zip-'));
afterAll(() => rmSync(folder, { recursive: true }));

async function zipOf(entries: readonly (readonly [string, Buffer])[]): Promise<Buffer> {
  const zip = new yazl.ZipFile();
  for (const [name, bytes] of entries) zip.addBuffer(bytes, name);
  zip.end();
  return buffer(zip.outputStream);
}

async function taken(zip: Buffer) {
  const file = path.join(folder, 'pile.zip');
  writeFileSync(file, zip);
  const found: { name: string; text: string | null; reason: string | null }[] = [];
  for await (const { name, file: out, reason } of unzip(file, folder))
    found.push({ name, text: out && readFileSync(out, 'utf8'), reason });
  return found;
}

test('pictures come out by their own names; folders and what systems leave behind do not', async () => {
  const zip = await zipOf([
    ['Thursday/one.jpg', Buffer.from('1')],
    ['Thursday/.DS_Store', Buffer.from('x')],
    ['__MACOSX/Thursday/._one.jpg', Buffer.from('x')],
    ['two.jpg', Buffer.from('2')],
  ]);
  expect(await taken(zip)).toEqual([
    { name: 'one.jpg', text: '1', reason: null },
    { name: 'two.jpg', text: '2', reason: null },
  ]);
});

test('a ZIP inside a ZIP, and a file that unfolds beyond all measure, are left alone and told', async () => {
  const zip = await zipOf([
    ['inner.zip', Buffer.from('PK')],
    ['bomb.jpg', Buffer.alloc(8 * 1024 * 1024)],
    ['good.jpg', Buffer.from('g')],
  ]);
  expect((await taken(zip)).map((t) => t.reason?.slice(0, 22) ?? t.text)).toEqual([
    'A ZIP inside a ZIP is ',
    'This file unfolds to f',
    'g',
  ]);
});

test('names that lead out of the ZIP, too many files, and half a ZIP are refused as a whole', async () => {
  const plain = await zipOf([['aaaaaaaa.jpg', Buffer.from('1')]]);
  const out = Buffer.from(plain.toString('latin1').replaceAll('aaaaaaaa.jpg', '../../aa.jpg'), 'latin1');
  await expect(taken(out)).rejects.toThrow(/names that lead out of it/);
  await expect(
    taken(await zipOf(Array.from({ length: MAX_ENTRIES + 1 }, (_, i) => [`${i}.jpg`, Buffer.from('x')] as const))),
  ).rejects.toThrow(/up to 400 are taken/);
  await expect(taken(plain.subarray(0, 40))).rejects.toThrow(/damaged or not complete/);
  expect(readdirSync(folder).filter((f) => f.startsWith('..'))).toEqual([]);
});
