/** What is deleted is gone from the raw files of the embedded database, and the screen says what copies keep. */
import { attempts, students, user } from '@/data/schema/tables';
import { eq } from 'drizzle-orm';
import { mkdtemp, readdir, readFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { deleteClass, deleteStudent } from './class/deleting';
import { deleteWhatIsOver } from './class/keeping';
import { writeNote } from './class/notes';
import { changeClass } from './class/people';
import { editItem, setWord } from './critique/critiquing';
import { decide } from './critique/deciding';
import { forgetWhatWent, keptInCopies } from './forgetting';
import { measureAttempt } from './hand-in/measuring';
import { lookAnyway } from './hand-in/receive';
import { setAddress } from './post/addresses';
import { announce } from './post/mailing';
import { eachInOwnHouse, resultWith, type TestStudio } from './test-studio';

let studio: TestStudio;
eachInOwnHouse((fresh) => (studio = fresh));

const foundInFiles = (words: readonly string[]) => foundIn(studio.house.settings.folder, words);

/** Which of some words, or bytes, stand anywhere in the files of a folder. */
async function foundIn<Word extends string | Buffer>(folder: string, words: readonly Word[]): Promise<Word[]> {
  const found = new Set<Word>();
  const all = await readdir(folder, { recursive: true, withFileTypes: true });
  for (const file of all.filter((f) => f.isFile())) {
    const bytes = await readFile(path.join(file.parentPath, file.name)).catch(() => Buffer.alloc(0));
    for (const word of words) if (bytes.includes(word)) found.add(word);
  }
  return [...found].sort();
}

const ROUND = ['Brisknettle', 'Ombrelight', 'Palewarren', 'Quillsedge'];
const [NAME, WORD, EDIT, PLEA] = ROUND as [string, string, string, string];

test('of a student who is deleted nothing said or written is left in any file', async () => {
  const { house, teacher, bea } = studio;
  await house.db.update(students).set({ name: NAME }).where(eq(students.id, bea.studentId));
  await house.db.update(user).set({ name: NAME }).where(eq(user.id, bea.userId));
  const id = await studio.send(bea, 10);
  await measureAttempt(house, id);
  await setWord(house, teacher, id, WORD, null);
  await editItem(house, teacher, id, 'streaky steps 3', { say: EDIT }, null);
  await decide(house, teacher, id, 'again');
  studio.next(resultWith(false));
  const refused = await studio.send(bea, 20);
  await measureAttempt(house, refused);
  await lookAnyway(house, bea, refused, PLEA);
  await house.db.execute('checkpoint');
  expect(await foundInFiles(ROUND)).toEqual(ROUND);

  await deleteStudent(house, teacher, bea.studentId);
  await house.db.execute('checkpoint');
  expect(await foundInFiles(ROUND)).not.toEqual([]);
  expect(await forgetWhatWent(house)).toBe(true);
  expect(await foundInFiles(ROUND)).toEqual([]);
  // Once is enough, and everything else is still there.
  expect(await forgetWhatWent(house)).toBe(false);
  expect(await studio.send(studio.ruta, 10)).toMatch(/^[a-z2-9]{16}$/);
});

test('of a student and of a class nothing is left in a backup that is made afterwards, neither name nor picture', async () => {
  const { house, teacher, bea, classId } = studio;
  await house.db.update(students).set({ name: NAME }).where(eq(students.id, bea.studentId));
  const id = await studio.send(bea, 33);
  await measureAttempt(house, id);
  const [row] = await house.db.select().from(attempts).where(eq(attempts.id, id));
  const photograph = await house.files.read(row?.photoHash ?? '');
  await setWord(house, teacher, id, WORD, null);
  await decide(house, teacher, id, 'again', { holds: true });
  await writeNote(house, teacher, bea.studentId, PLEA);
  await setAddress(house, teacher, bea.studentId, `${EDIT}@harbour.example`);
  const words = [NAME, WORD, PLEA, EDIT, photograph] as const;
  const here = house.settings.folder;
  expect(await foundIn(here, words)).toHaveLength(words.length);
  const receipt = await deleteStudent(house, teacher, bea.studentId);
  expect(receipt).toMatchObject({ students: 1, handIns: 1, photographs: 1, files: 3 });
  await forgetWhatWent(house);
  expect(await foundIn(here, words)).toEqual([]);
  const folder = await mkdtemp(path.join(tmpdir(), 'fair-grey-after-'));
  await house.backUp(path.join(folder, 'first'));
  expect(await foundIn(folder, words)).toEqual([]);

  await house.db.update(students).set({ name: PLEA }).where(eq(students.id, studio.ruta.studentId));
  const other = await studio.send(studio.ruta, 44);
  await measureAttempt(house, other);
  await setWord(house, teacher, other, EDIT, null);
  await announce(house, teacher, classId, { title: 'Thursday', text: WORD });
  await expect(deleteClass(house, teacher, classId, 'another')).rejects.toThrow('Write the name');
  const all = await deleteClass(house, teacher, classId, 'Tidewell Evening Studio');
  expect(all).toMatchObject({ students: 1, handIns: 1, photographs: 1 });
  await forgetWhatWent(house);
  const ofClass = [EDIT, PLEA, WORD, classId];
  expect(await foundIn(here, ofClass)).toEqual([]);
  await house.backUp(path.join(folder, 'second'));
  expect(await foundIn(path.join(folder, 'second'), ofClass)).toEqual([]);
});

test('hand-ins go when their time is over, and no sooner', async () => {
  const { house, teacher, bea, ruta, classId } = studio;
  const old = await studio.send(bea, 10);
  await measureAttempt(house, old);
  const young = await studio.send(ruta, 20);
  await measureAttempt(house, young);
  const now = new Date();
  const daysAgo = (days: number) => new Date(now.getTime() - days * 86_400_000);
  await house.db
    .update(attempts)
    .set({ createdAt: daysAgo(100) })
    .where(eq(attempts.id, old));
  await house.db
    .update(attempts)
    .set({ createdAt: daysAgo(80) })
    .where(eq(attempts.id, young));
  // Nobody has said how long.
  expect(await deleteWhatIsOver(house, now)).toBe(0);
  const settings = { numbering: 'white-is-one', register: 'beginners', underSixteen: false, school: false } as const;
  await changeClass(house, teacher, classId, { ...settings, currency: 'EUR', pieceLineMm: null, keepDays: 90 });
  expect(await deleteWhatIsOver(house, daysAgo(60))).toBe(0);
  expect(await deleteWhatIsOver(house, now)).toBe(1);
  const left = await house.db
    .select({ id: attempts.id })
    .from(attempts)
    .where(eq(attempts.handInId, attempts.handInId));
  expect(left.map((a) => a.id)).toContain(young);
  expect(left.map((a) => a.id)).not.toContain(old);
});

test('what is deleted while it is forgotten has its own turn', async () => {
  const { house, teacher } = studio;
  await deleteStudent(house, teacher, studio.bea.studentId);
  const during = {
    ...house,
    async forget() {
      await deleteStudent(house, teacher, studio.ruta.studentId);
    },
  };
  expect(await forgetWhatWent(during)).toBe(true);
  expect(await forgetWhatWent(house)).toBe(true);
  expect(await forgetWhatWent(house)).toBe(false);
});

test('whoever deletes is told what copies keep', () => {
  const server = 'postgresql://db/grey';
  expect(keptInCopies({ databaseUrl: null, backupDays: null })).toMatch(/Within a minute/);
  expect(keptInCopies({ databaseUrl: server, backupDays: null })).toMatch(/until they are replaced/);
  expect(keptInCopies({ databaseUrl: server, backupDays: 30 })).toMatch(/for 30 days more/);
  expect(keptInCopies({ databaseUrl: null, backupDays: 0 })).toMatch(/no backups/);
});
