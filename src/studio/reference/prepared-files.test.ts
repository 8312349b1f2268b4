/** A prepared picture goes out and comes in with its rights and preparation; what was changed on the way is told. */
import { untouched } from '@/core/reference/preparation';
import { newId } from '@/data/schema/ids';
import { referencePictures } from '@/data/schema/tables';
import { eq } from 'drizzle-orm';
import { createWriteStream, mkdtempSync, readdirSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { buffer } from 'node:stream/consumers';
import { pipeline } from 'node:stream/promises';
import sharp from 'sharp';
import { openPromise } from 'yauzl';
import yazl from 'yazl';
import type { Teacher } from '../access/actor';
import { forgetWhatWent } from '../forgetting';
import { eachInNewStudio, type TestStudio } from '../test-studio';
import { bringPreparedIn, takePreparedOut } from './prepared-files';
import { bringIn, dropReference, keepPreparation, referenceFor } from './references';

let studio: TestStudio;
eachInNewStudio((fresh) => (studio = fresh));
const folder = mkdtempSync(path.join(tmpdir(), 'fair-grey-prepared-'));
const RIGHTS = { title: 'Two jugs', source: 'painted here', licence: 'this class only', note: 'by the window' };

async function prepared(): Promise<string> {
  const file = path.join(folder, `${newId()}.png`);
  const shade = { r: Math.floor(Math.random() * 255), g: 90, b: 90 };
  const light = { create: { width: 60, height: 90, channels: 3, background: '#ddd' } } as const;
  await sharp({ create: { width: 120, height: 90, channels: 3, background: shade } })
    .composite([{ input: light, left: 0, top: 0 }])
    .png()
    .toFile(file);
  const id = await bringIn(studio.house, studio.teacher, file, RIGHTS);
  const how = { ...untouched(1.5), tones: 3, grid: 6, exemplars: ['another'] };
  await keepPreparation(studio.house, studio.teacher, id, how, null);
  return id;
}

async function outAs(id: string): Promise<string> {
  const file = path.join(folder, `${newId()}.zip`);
  await pipeline(await takePreparedOut(studio.house, studio.teacher, id), createWriteStream(file));
  return file;
}

async function changed(file: string, change: (entries: Map<string, Buffer>) => void): Promise<string> {
  const entries = new Map<string, Buffer>();
  const zip = await openPromise(file);
  for await (const entry of zip.eachEntry())
    entries.set(entry.fileName, await buffer(await zip.openReadStreamPromise(entry)));
  change(entries);
  const made = new yazl.ZipFile();
  for (const [name, bytes] of entries) made.addBuffer(bytes, name);
  made.end();
  const out = path.join(folder, `${newId()}.zip`);
  await pipeline(made.outputStream, createWriteStream(out));
  return out;
}
const rewritten = (file: string, from: string | RegExp, to: string) =>
  changed(file, (entries) => {
    const text = entries.get('archive.json')?.toString() ?? '';
    entries.set('archive.json', Buffer.from(text.replace(from, to)));
  });

test('out, and in for another teacher: the same bytes, the same rights, the same preparation', async () => {
  const { house, teacher } = studio;
  const id = await prepared();
  const userId = await house.auth.createTeacher('Odo Marrick', `${newId()}@tidewell.example`, 'another-password');
  const odo: Teacher = { ...teacher, userId, name: 'Odo Marrick' };
  const own = await referenceFor(house, odo, await bringPreparedIn(house, odo, await outAs(id)));
  const first = await referenceFor(house, teacher, id);
  expect(own).toMatchObject({ ...RIGHTS, pictureHash: first.pictureHash, teacherId: userId });
  // What lay beside it there is not here.
  expect(own.preparation).toEqual({ ...first.preparation, exemplars: [] });
  await expect(takePreparedOut(house, odo, id)).rejects.toThrow();
});

test.each<[string, (file: string) => Promise<string>, string]>([
  ['of a newer version', (file) => rewritten(file, '"version": 1', '"version": 9'), 'newer Fair Grey'],
  [
    'that is the archive of a class',
    (file) => rewritten(file, 'fair-grey-reference', 'fair-grey-class'),
    'no prepared',
  ],
  ['with a preparation that there is not', (file) => rewritten(file, '"tones": 3', '"tones": 300'), 'changed by hand'],
  [
    'with another picture',
    (file) => changed(file, (e) => void e.set([...e.keys()][1] ?? '', Buffer.from('x'))),
    'damaged',
  ],
  ['without its picture', (file) => changed(file, (e) => void e.delete([...e.keys()][1] ?? '')), 'damaged'],
  ['that is no ZIP', (file) => (writeFileSync(file, 'PK no'), Promise.resolve(file)), 'damaged'],
])('a file %s is told, and nothing of it stays', async (_, make, says) => {
  const { house, teacher } = studio;
  const file = await make(await outAs(await prepared()));
  const before = await house.db.$count(referencePictures);
  await expect(bringPreparedIn(house, teacher, file)).rejects.toThrow(says);
  expect(await house.db.$count(referencePictures)).toBe(before);
  expect(readdirSync(house.files.incoming).filter((f) => f.startsWith('archive-'))).toEqual([]);
});

test('a picture that is taken away goes with its files, and what the database keeps of it is to be forgotten', async () => {
  const { house, teacher } = studio;
  const id = await prepared();
  const title = 'Brisknettle jugs';
  await house.db.update(referencePictures).set({ title }).where(eq(referencePictures.id, id));
  const { pictureHash } = await referenceFor(house, teacher, id);
  expect(await dropReference(house, teacher, id)).toBe(3);
  await expect(house.files.local(pictureHash)).rejects.toThrow();
  expect(await forgetWhatWent(house)).toBe(true);
});
