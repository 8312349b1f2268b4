/** What is deleted is gone from the raw files of the embedded database, and the screen says what copies keep. */
import { students, user } from '@/data/schema/tables';
import { eq } from 'drizzle-orm';
import { readdir, readFile } from 'node:fs/promises';
import path from 'node:path';
import { deleteStudent } from './class/records';
import { editItem, setWord } from './critique/critiquing';
import { decide } from './critique/deciding';
import { forgetWhatWent, keptInCopies } from './forgetting';
import { measureAttempt } from './hand-in/measuring';
import { lookAnyway } from './hand-in/receive';
import { eachInNewStudio, resultWith, type TestStudio } from './test-studio';

let studio: TestStudio;
eachInNewStudio((fresh) => (studio = fresh));

/** Which of some words stand anywhere in the files of the data folder. */
async function foundInFiles(words: readonly string[]): Promise<string[]> {
  const found = new Set<string>();
  const all = await readdir(studio.house.settings.folder, { recursive: true, withFileTypes: true });
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

test('what is deleted while it is forgotten has its own turn', async () => {
  const { house, teacher } = studio;
  await deleteStudent(house, teacher, studio.bea.studentId);
  const during = { ...house, forget: () => deleteStudent(house, teacher, studio.ruta.studentId) };
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
