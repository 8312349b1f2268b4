/** A class out of one studio and into another, byte for byte; and archives that were damaged, or made to do harm. */
import { newId } from '@/data/schema/ids';
import { attempts, classes, students, user } from '@/data/schema/tables';
import { eq } from 'drizzle-orm';
import { createHash } from 'node:crypto';
import { createReadStream, createWriteStream, mkdtempSync, readdirSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { buffer } from 'node:stream/consumers';
import { pipeline } from 'node:stream/promises';
import yazl from 'yazl';
import { openPromise } from 'yauzl';
import { NotFound, Refused, type Teacher } from '../access/actor';
import { editItem, setWord } from '../critique/critiquing';
import { decide } from '../critique/deciding';
import { drawMark } from '../critique/marking';
import { measureAttempt } from '../hand-in/measuring';
import { notesOn, writeNote } from '../class/notes';
import { grade, setScheme } from '../grading/grading';
import { setAddress } from '../post/addresses';
import { announce, announcementsOf } from '../post/mailing';
import { allow } from '../plan/allowances';
import { eachInNewStudio, saidOf, type TestStudio } from '../test-studio';
import { deleteStudent } from '../class/deleting';
import { studentsOf } from '../class/people';
import { rackOf } from '../views/rack';
import { gradeBook } from '../views/results';
import { bringClassIn } from './bring-in';
import { takeOut } from './take-out';

let studio: TestStudio;
eachInNewStudio((fresh) => {
  studio = fresh;
});
const folder = mkdtempSync(path.join(tmpdir(), 'fair-grey-archive-'));

/** A class with something in every place. */
async function fill(): Promise<void> {
  const { house, teacher, classId, bea, ruta, exerciseId } = studio;
  const id = await studio.send(bea, 10);
  await measureAttempt(house, id);
  const [item] = await saidOf(studio, id);
  await editItem(house, teacher, id, item?.original.key ?? '', { say: '=Look at “ürsprung”' }, 0);
  await setWord(house, teacher, id, 'Well stirred.', 0);
  await drawMark(house, teacher, id, { kind: 'pin', on: 'painting', points: [[0.3, 0.4]], about: null, words: 'here' });
  await decide(house, teacher, id, 'again');
  await measureAttempt(house, await studio.send(bea, 20));
  await allow(house, teacher, exerciseId, ruta.studentId, { what: 'excused', word: 'away' });
  await setScheme(house, teacher, classId, {
    version: 1,
    shown: true,
    criteria: [{ id: 'steps', name: 'Even steps', figure: 'evenness', by: { kind: 'points', most: 10 } }],
  });
  await grade(house, teacher, id, 'steps', { kind: 'points', points: 7 });
  await writeNote(house, teacher, bea.studentId, 'Paints standing.');
  await setAddress(house, teacher, bea.studentId, 'bea@harbour.example');
  await announce(house, teacher, classId, { title: 'Thursday', text: 'Bring a rag.' });
}

async function outAs(name: string, classId = studio.classId): Promise<string> {
  const file = path.join(folder, `${name}.zip`);
  const { stream } = await takeOut(studio.house, studio.teacher, classId);
  await pipeline(stream, createWriteStream(file));
  return file;
}

async function entriesOf(file: string): Promise<Map<string, Buffer>> {
  const zip = await openPromise(file);
  const found = new Map<string, Buffer>();
  for await (const entry of zip.eachEntry())
    found.set(entry.fileName, await buffer(await zip.openReadStreamPromise(entry)));
  return found;
}

async function zipOf(entries: Iterable<readonly [string, Buffer]>): Promise<string> {
  const zip = new yazl.ZipFile();
  for (const [name, bytes] of entries) zip.addBuffer(bytes, name);
  zip.end();
  const file = path.join(folder, `${newId()}.zip`);
  await pipeline(zip.outputStream, createWriteStream(file));
  return file;
}

/** Takes the class away, as if this were another studio. */
async function forgetClass(): Promise<void> {
  const { house, teacher, classId } = studio;
  for (const { id } of await studentsOf(house, teacher, classId)) await deleteStudent(house, teacher, id);
  await house.db.delete(classes).where(eq(classes.id, classId));
}

test('out, away, in and out again: the document byte for byte, the pictures by their hash', async () => {
  await fill();
  const first = await outAs('first');
  const before = await entriesOf(first);
  await forgetClass();
  const classId = await bringClassIn(studio.house, studio.teacher, first);
  expect(classId).toBe(studio.classId);
  const after = await entriesOf(await outAs('second'));
  expect(after.get('archive.json')?.toString()).toBe(before.get('archive.json')?.toString());
  expect([...after.keys()].sort()).toEqual([...before.keys()].sort());
  expect(before.size).toBeGreaterThan(3);
  for (const [name, bytes] of after)
    if (name.startsWith('files/')) expect(`files/${createHash('sha256').update(bytes).digest('hex')}`).toBe(name);
  // It is worked with as before, and figures that were not kept twice are there again.
  const { cells } = await rackOf(studio.house, studio.teacher, classId);
  const [own] = cells.flatMap((c) => (c.glance ? [c.glance] : []));
  expect(own).toMatchObject({ state: 'waiting', attempt: 2, kind: 'scale' });
  expect(own?.figures?.error).not.toBeNull();
  expect(cells.some((c) => c.allowance?.excused)).toBe(true);
});

test('what comes after a class was brought in counts as newer', async () => {
  await fill();
  const file = await outAs('order');
  await forgetClass();
  await bringClassIn(studio.house, studio.teacher, file);
  const [row] = await studio.house.db.select().from(students).where(eq(students.id, studio.bea.studentId));
  const bea = { ...studio.bea, userId: row?.userId ?? '' };
  const id = await studio.send(bea, 99);
  const all = await studio.house.db.select().from(attempts);
  expect(all.find((a) => a.id === id)?.seq).toBe(Math.max(...all.map((a) => a.seq)));
});

test('no password, no code of a student and no teacher leave with it', async () => {
  await fill();
  const text = (await entriesOf(await outAs('private'))).get('archive.json')?.toString() ?? '';
  expect(text).not.toMatch(/user_id|teacher_id|_by"|argon2|password|students\.invalid|@tidewell/);
});

test('beside other classes: not over itself, and with another code where its own is taken', async () => {
  await fill();
  const file = await outAs('beside');
  await expect(bringClassIn(studio.house, studio.teacher, file)).rejects.toThrow('here already');
  const entries = await entriesOf(file);
  const archive = JSON.parse(entries.get('archive.json')?.toString() ?? '') as Archive;
  const other = 'another2class3id';
  const text = JSON.stringify(archive).replaceAll(studio.classId, other);
  const changed = JSON.parse(text) as Archive;
  // Only the class itself: the rest of it is here already.
  const alone = { ...changed, tables: { classes: changed.tables.classes ?? [] } };
  const id = await bringClassIn(
    studio.house,
    studio.teacher,
    await zipOf([['archive.json', Buffer.from(JSON.stringify(alone))]]),
  );
  const [row] = await studio.house.db.select().from(classes).where(eq(classes.id, id));
  const [own] = await studio.house.db.select().from(classes).where(eq(classes.id, studio.classId));
  expect(row?.code).not.toBe(own?.code);
});

interface Archive {
  readonly format: string;
  version: number;
  tables: Record<string, Record<string, unknown>[]>;
}

test.each<[string, (a: Archive) => void, string]>([
  ['of a newer version', (a) => void (a.version = 99), 'newer Fair Grey'],
  [
    'with a column that there is not',
    (a) => void (a.tables.students = [{ ...a.tables.students?.[0], role: 'teacher' }]),
    'changed by hand',
  ],
  [
    'with another owner',
    (a) => void (a.tables.classes = [{ ...a.tables.classes?.[0], teacher_id: 'somebody' }]),
    'changed by hand',
  ],
  ['with accounts', (a) => void (a.tables.account = [{ id: 'x', password: 'y' }]), 'changed by hand'],
  [
    'that names what is another’s',
    (a) => void (a.tables.hand_ins = [{ ...a.tables.hand_ins?.[0], student_id: 'somebody' }]),
    'changed by hand',
  ],
  [
    'with a state that there is not',
    (a) => a.tables.hand_ins?.forEach((h) => (h.state = 'splendid')),
    'changed by hand',
  ],
  [
    'with terms that nobody can paint by',
    (a) => a.tables.exercises?.forEach((e) => (e.terms = { kind: 'scale', steps: 900 })),
    'changed by hand',
  ],
  ['without its files', (a) => void (a.tables.files = []), 'changed by hand'],
  [
    'of two classes',
    (a) => void a.tables.classes?.push({ ...a.tables.classes[0], id: 'b', code: 'B' }),
    'changed by hand',
  ],
])('an archive %s is told, and nothing of it stays', async (_, change, says) => {
  await fill();
  const entries = await entriesOf(await outAs(newId()));
  await forgetClass();
  const archive = JSON.parse(entries.get('archive.json')?.toString() ?? '') as Archive;
  change(archive);
  entries.set('archive.json', Buffer.from(JSON.stringify(archive)));
  const before = await studio.house.db.$count(user);
  await expect(bringClassIn(studio.house, studio.teacher, await zipOf(entries))).rejects.toThrow(says);
  expect(await studio.house.db.$count(user)).toBe(before);
  expect(await studio.house.db.$count(classes, eq(classes.id, studio.classId))).toBe(0);
  expect(readdirSync(studio.house.files.incoming).filter((f) => f.startsWith('archive-'))).toEqual([]);
});

test('ZIPs that are none, cut off, with other names, a bomb or a wrong hash', async () => {
  await fill();
  const good = await outAs('good');
  const entries = await entriesOf(good);
  const whole = await buffer(createReadStream(good));
  const file = (name: string, bytes: Buffer) => {
    const at = path.join(folder, name);
    writeFileSync(at, bytes);
    return at;
  };
  const [first] = [...entries.keys()].filter((k) => k.startsWith('files/'));
  const wrongHash = new Map(entries).set(first ?? '', Buffer.from('another picture'));
  const bomb = new Map(entries).set('archive.json', Buffer.alloc(60_000_000, 32));
  const tries = [
    file('none.zip', Buffer.from('PK no')),
    file('cut.zip', whole.subarray(0, whole.length - 40)),
    await zipOf([...entries, ['files/evil', Buffer.from('x')]]),
    await zipOf(wrongHash),
    await zipOf(bomb),
    await zipOf([...entries].filter(([name]) => name !== 'archive.json')),
    // A name that leads out of it: the packer refuses to write one, so that it is changed in the bytes.
    file('out.zip', Buffer.from(whole.toString('latin1').replaceAll('archive.json', '../evil.json'), 'latin1')),
  ];
  await forgetClass();
  for (const at of tries) await expect(bringClassIn(studio.house, studio.teacher, at)).rejects.toThrow(Refused);
  expect(readdirSync(studio.house.files.incoming).filter((f) => f.startsWith('archive-'))).toEqual([]);
});

test('nobody takes another’s class out', async () => {
  const stranger: Teacher = { ...studio.teacher, userId: 'somebody' };
  await expect(takeOut(studio.house, stranger, studio.classId)).rejects.toThrow(NotFound);
});

/** Archives as they were taken out when there was no newer version: they open for ever. */
test.each([1, 2])('an archive of version %d is brought in, with all that it holds', async (version) => {
  const { house, teacher } = studio;
  const classId = await bringClassIn(house, teacher, `src/studio/archive/fixtures/class-${version}.zip`);
  const { cells, students: people } = await rackOf(house, teacher, classId);
  expect(people.map((p) => p.name)).toEqual(['Bea Lindqvarn', 'Ruta Vane']);
  const [own] = cells.flatMap((c) => (c.glance ? [c.glance] : []));
  expect(own).toMatchObject({ state: 'waiting', attempt: 2, kind: 'scale' });
  expect(own?.steps).toHaveLength(5);
  const tries = await house.db
    .select()
    .from(attempts)
    .where(eq(attempts.handInId, own?.handInId ?? ''));
  const first = tries.find((t) => t.number === 1);
  expect((await saidOf(studio, first?.id ?? '')).map((i) => i.say)).toContain('=Look at “ürsprung”');
  if (version < 2) return;
  const { full } = await gradeBook(house, teacher, classId);
  expect(full.rows.map((row) => row.slice(0, 5))).toEqual([
    ['Bea Lindqvarn', 'Five greys', 1, 'Even steps', '7 of 10'],
  ]);
  expect((await notesOn(house, teacher, people[0]?.id ?? '')).map((n) => n.text)).toEqual(['Paints standing.']);
  expect((await announcementsOf(house, classId)).map((a) => a.text)).toEqual(['Bring a rag.']);
});
