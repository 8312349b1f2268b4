/** Backups of a studio that goes on, and studios that come of them. */
import { answerBackups, askForBackup } from '@/data/backup/door';
import { fileIn } from '@/data/backup/make';
import { NOTE } from '@/data/backup/note';
import { readNote, restoreBackup } from '@/data/backup/restore';
import { openDatabase } from '@/data/database/database';
import { attempts, classes } from '@/data/schema/tables';
import { addStudent } from './class/people';
import { mkdtempSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { existsSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { eachInOwnHouse, type TestStudio } from './test-studio';
import { students } from '@/data/schema/tables';
import { eq } from 'drizzle-orm';
import type { Student } from './access/actor';

let studio: TestStudio;
eachInOwnHouse((fresh) => {
  studio = fresh;
});
const newFolder = (name: string) => path.join(mkdtempSync(path.join(tmpdir(), 'fair-grey-backup-')), name);

/** A class's worth of students. */
async function manyStudents(n: number): Promise<Student[]> {
  const { house, teacher, classId } = studio;
  for (let k = 0; k < n; k++) await addStudent(house, teacher, classId, `Student ${k}`);
  const rows = await house.db.select().from(students).where(eq(students.classId, classId));
  return rows.map((r) => ({
    role: 'student',
    userId: r.userId,
    studentId: r.id,
    classId,
    elsewhere: [],
    name: r.name,
  }));
}

test('made while forty hand-ins arrive: all that was acknowledged before it began is in it, and it opens', async () => {
  const { house } = studio;
  const people = await manyStudents(8);
  const acknowledged: string[] = [];
  const begun: Promise<unknown>[] = [];
  let before: readonly string[] = [];
  const target = newFolder('backup');
  await Promise.all(
    Array.from({ length: 40 }, async (_, k) => {
      await new Promise((resolve) => setTimeout(resolve, 15 * k));
      acknowledged.push(await studio.send(people[k % people.length] ?? studio.bea, 10 + k));
      if (acknowledged.length === 15) {
        before = [...acknowledged];
        begun.push(house.backUp(target));
      }
    }),
  );
  await Promise.all(begun);
  expect(before).toHaveLength(15);
  const folder = newFolder('restored');
  const { photographs, kept } = await restoreBackup(target, folder, false);
  expect(kept).toBeNull();
  expect(photographs).toBeGreaterThanOrEqual(before.length);
  const restored = await openDatabase({ folder });
  try {
    const rows = await restored.db.select({ id: attempts.id, photo: attempts.photoHash }).from(attempts);
    const there = new Map(rows.map((r) => [r.id, r.photo]));
    for (const id of before) {
      expect(there.has(id)).toBe(true);
      expect(existsSync(fileIn(folder, there.get(id) ?? ''))).toBe(true);
    }
    // The studio went on meanwhile.
    expect(await house.db.$count(attempts)).toBeGreaterThanOrEqual(40);
  } finally {
    await restored.close();
  }
}, 120_000);

test('nothing is restored over a studio that is there, unless that goes aside', async () => {
  const { house, classId } = studio;
  const target = newFolder('backup');
  await house.backUp(target);
  await expect(house.backUp(target)).rejects.toThrow('already');
  const folder = newFolder('restored');
  await restoreBackup(target, folder, false);
  await expect(restoreBackup(target, folder, false)).rejects.toThrow('--aside');
  const { kept } = await restoreBackup(target, folder, true);
  expect(existsSync(path.join(kept ?? '', 'pg'))).toBe(true);
  const restored = await openDatabase({ folder });
  expect(await restored.db.$count(classes, eq(classes.id, classId))).toBe(1);
  await restored.close();
});

test('a backup that is damaged, of a newer version or none at all is told, and nothing is there then', async () => {
  const { house, bea } = studio;
  await studio.send(bea, 77);
  const target = newFolder('backup');
  await house.backUp(target);
  const folder = newFolder('restored');
  await expect(restoreBackup(path.dirname(target), folder, false)).rejects.toThrow('no backup');
  const [group = ''] = readdirSync(path.join(target, 'files'));
  const [hash = ''] = readdirSync(path.join(target, 'files', group));
  const whole = readFileSync(fileIn(target, hash));
  writeFileSync(fileIn(target, hash), whole.subarray(1));
  await expect(restoreBackup(target, folder, false)).rejects.toThrow('missing or damaged');
  writeFileSync(fileIn(target, hash), whole);
  const note = readNote(target);
  writeFileSync(path.join(target, NOTE), JSON.stringify({ ...note, version: 99 }));
  await expect(restoreBackup(target, folder, false)).rejects.toThrow('newer');
  expect(existsSync(folder)).toBe(false);
  writeFileSync(path.join(target, NOTE), JSON.stringify(note));
  await restoreBackup(target, folder, false);
});

test('a command asks whoever has the folder, and hears what stands in the way', async () => {
  const { house } = studio;
  const own = newFolder('data');
  expect(await askForBackup(own, newFolder('backup'))).toBeNull();
  const door = answerBackups(own, (target) => house.backUp(target));
  const target = newFolder('backup');
  const note = await askForBackup(own, target);
  expect(note).toEqual(readNote(target));
  await expect(askForBackup(own, target)).rejects.toThrow('name a folder that is not there');
  door.close();
});
