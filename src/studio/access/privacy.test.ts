/** What someone may not see does not exist for them; what is deleted is gone; what is theirs comes out whole. */
import { pagesOf } from '@/workers/printing/job';
import { attempts, classes, files, handIns, session, students, user } from '@/data/schema/tables';
import { eq } from 'drizzle-orm';
import { readdir } from 'node:fs/promises';
import path from 'node:path';
import { buffer } from 'node:stream/consumers';
import yauzl from 'yauzl';
import { addStudent, createClass, createFirstTeacher, reissueCode } from '../class/people';
import { deleteStudent } from '../class/deleting';
import { exportStudent } from '../class/records';
import { decide } from '../critique/deciding';
import { measureAttempt } from '../hand-in/measuring';
import { keepFile } from '../hand-in/receive';
import { pagesToPrint } from '../plan/exercises';
import { eachInOwnHouse, type TestStudio } from '../test-studio';
import { sweepFiles } from '../unused-files';
import { pictureOf } from '../views/table';
import { attemptFor, classOf, exerciseFor, handInFor, NotFound, type Student, studentFor, type Teacher } from './actor';

let studio: TestStudio;
let handInId: string;
let attemptId: string;
eachInOwnHouse((fresh) => {
  studio = fresh;
});
beforeEach(async () => {
  attemptId = await studio.send(studio.bea, 10);
  await measureAttempt(studio.house, attemptId);
  const [row] = await studio.house.db.select().from(handIns).where(eq(handIns.studentId, studio.bea.studentId));
  handInId = row?.id ?? '';
});

const stored = async () =>
  (await readdir(path.join(studio.house.settings.folder, 'files'), { recursive: true, withFileTypes: true })).filter(
    (f) => f.isFile(),
  ).length;

async function secondTeacher(): Promise<Teacher> {
  const userId = await studio.house.auth.createTeacher(
    'Odo Marrick',
    `${Math.random()}@tidewell.example`,
    'another-password',
  );
  return { role: 'teacher', standing: 'teacher', userId, name: 'Odo Marrick' };
}

test('another teacher finds nothing of a class', async () => {
  const odo = await secondTeacher();
  const { house, classId, exerciseId, bea } = studio;
  const looks = await Promise.allSettled([
    classOf(house, odo, classId),
    exerciseFor(house, odo, exerciseId),
    handInFor(house, odo, handInId),
    attemptFor(house, odo, attemptId),
    studentFor(house, odo, bea.studentId),
    exportStudent(house, odo, bea.studentId),
    deleteStudent(house, odo, bea.studentId),
    decide(house, odo, attemptId, 'pass'),
    pictureOf(house, odo, attemptId, 'preview'),
  ]);
  for (const look of looks)
    expect(look).toMatchObject({ status: 'rejected', reason: expect.any(NotFound) as NotFound });
});

test('another student finds nothing of a hand-in, and a student of another class nothing of the exercise', async () => {
  const { house, ruta, exerciseId, teacher } = studio;
  await expect(handInFor(house, ruta, handInId)).rejects.toBeInstanceOf(NotFound);
  await expect(pictureOf(house, ruta, attemptId, 'preview')).rejects.toBeInstanceOf(NotFound);
  const otherClass = await createClass(house, teacher, 'Morning', 'black-is-one');
  const { id } = await addStudent(house, teacher, otherClass, 'Ivo Sallow');
  const [row] = await house.db.select().from(students).where(eq(students.id, id));
  const ivo: Student = {
    role: 'student',
    userId: row?.userId ?? '',
    studentId: id,
    classId: otherClass,
    elsewhere: [],
    name: 'Ivo Sallow',
  };
  await expect(exerciseFor(house, ivo, exerciseId)).rejects.toBeInstanceOf(NotFound);
  await expect(studio.send(ivo, 50)).rejects.toBeInstanceOf(NotFound);
});

test('a student sees their photograph at once and their straightened strip with the letter only', async () => {
  const { house, bea, teacher } = studio;
  expect(await pictureOf(house, bea, attemptId, 'preview')).not.toBeNull();
  expect(await pictureOf(house, bea, attemptId, 'strip')).toBeNull();
  await decide(house, teacher, attemptId, 'again');
  expect(await pictureOf(house, bea, attemptId, 'strip')).not.toBeNull();
});

test('a student is printed only their own sheet, a teacher one for everybody', async () => {
  const { house, bea, teacher, exerciseId, ruta } = studio;
  expect([...pagesOf(await pagesToPrint(house, bea, exerciseId, ruta.studentId))]).toHaveLength(3);
  const all = [...pagesOf(await pagesToPrint(house, teacher, exerciseId, null))];
  // A sheet, its handout and its mixes each.
  expect(all).toHaveLength(6);
  expect(JSON.stringify(all[0])).toContain('Bea Lindqvarn');
});

test('a name that the fonts can’t print is a number on the sheet', async () => {
  const { house, teacher, classId, exerciseId } = studio;
  const { id } = await addStudent(house, teacher, classId, 'አበበ');
  const [sheet] = [...pagesOf(await pagesToPrint(house, teacher, exerciseId, id))];
  expect(JSON.stringify(sheet)).toContain('Student 3');
});

test('deleting a student removes their rows, their sign-in and the files that nobody else uses', async () => {
  const { house, bea, ruta, teacher } = studio;
  // Ruta sent the very same bytes: that file stays.
  await studio.send(ruta, 10);
  const shared = await stored();
  await studio.send(bea, 77);
  expect(await stored()).toBe(shared + 1);
  await deleteStudent(house, teacher, bea.studentId);
  // Its own photograph is gone; previews stay because every test's are the same bytes.
  expect(await stored()).toBe(shared);
  expect(await house.db.select().from(files)).toHaveLength(shared);
  expect(await house.db.select().from(students).where(eq(students.id, bea.studentId))).toEqual([]);
  expect(await house.db.select().from(user).where(eq(user.id, bea.userId))).toEqual([]);
  expect(await house.auth.signInStudent(studio.codes.class, studio.codes.bea)).toBeNull();
});

const HOUR = 3_600_000;

test('files that nobody needs are swept once they are a day old, and none that is on its way', async () => {
  const { house, teacher } = studio;
  const lost = await house.files.put(new Uint8Array([9, 9, 9]));
  // Kept, and then nothing came of it: a process was killed in between, or the hand-in was refused.
  const idle = await keepFile(house, new Uint8Array([8, 8, 8]), 'image/png');
  const later = (hours: number) => new Date(Date.now() + hours * HOUR);
  await sweepFiles(house, later(23));
  expect([await house.files.has(lost), await house.files.has(idle)]).toEqual([true, true]);
  await sweepFiles(house, later(25));
  expect([await house.files.has(lost), await house.files.has(idle)]).toEqual([false, false]);
  expect(await house.db.select().from(files).where(eq(files.hash, idle))).toEqual([]);
  expect(await pictureOf(house, teacher, attemptId, 'preview')).not.toBeNull();
});

test('a photograph that is refused with the hand-in leaves nothing behind', async () => {
  const { house, bea, teacher } = studio;
  await decide(house, teacher, attemptId, 'pass');
  const before = await stored();
  await expect(studio.send(bea, 91)).rejects.toThrow('passed');
  expect(await stored()).toBe(before);
});

test('a missing file is told in the ZIP, which comes to its end', async () => {
  const { house, teacher, bea } = studio;
  await studio.send(bea, 93);
  const [row] = await house.db
    .select()
    .from(attempts)
    .where(eq(attempts.id, await studio.send(bea, 93)));
  await house.files.remove(row?.photoHash ?? '');
  const { stream } = await exportStudent(house, teacher, bea.studentId);
  const zip = await yauzl.fromBufferPromise(await buffer(stream));
  const names: string[] = [];
  for await (const entry of zip.eachEntry()) names.push(entry.fileName);
  expect(names).toContain('missing.txt');
});

test('a student’s data come out as a ZIP with their photograph and all that was said', async () => {
  const { house, teacher, bea } = studio;
  const { name, stream } = await exportStudent(house, teacher, bea.studentId);
  expect(name).toBe('student-1.zip');
  const zip = await yauzl.fromBufferPromise(await buffer(stream));
  const entries = new Map<string, Buffer>();
  for await (const entry of zip.eachEntry())
    entries.set(entry.fileName, await buffer(await zip.openReadStreamPromise(entry)));
  const record = [...entries].find(([file]) => file.endsWith('.json'))?.[1].toString('utf8') ?? '';
  expect(JSON.parse(record)).toMatchObject({
    student: { name: 'Bea Lindqvarn' },
    attempts: [{ id: attemptId }],
    findingEdits: [],
  });
  expect([...entries.keys()].some((file) => file.endsWith('.jpg') || file.endsWith('.jpeg'))).toBe(true);
});

test('codes are kept nowhere, and a reissued code ends the old one and its sessions', async () => {
  const { house, teacher, bea, codes } = studio;
  const signedIn = await house.auth.signInStudent(codes.class.toLowerCase(), 'fresh pan');
  expect(signedIn).not.toBeNull();
  const dump = JSON.stringify([
    await house.db.select().from(user),
    await house.db.select().from(students),
    await house.db.select().from(classes),
  ]);
  expect(dump).not.toContain(codes.bea);
  const fresh = await reissueCode(house, teacher, bea.studentId);
  expect(fresh).toMatch(/^[A-Z2-9]{8}$/);
  expect(await house.db.select().from(session).where(eq(session.userId, bea.userId))).toEqual([]);
  expect(await house.auth.signInStudent(codes.class, codes.bea)).toBeNull();
  expect(await house.auth.signInStudent(codes.class, fresh)).not.toBeNull();
});

test('a teacher stays signed in for 12 hours, a student for 14 days', async () => {
  const { auth } = studio.house;
  const hours = (s: { expiresAt: Date } | null) => ((s?.expiresAt.getTime() ?? 0) - Date.now()) / 3_600_000;
  expect(hours(await auth.signInTeacher(studio.codes.email.toUpperCase(), 'saltpans-and-hills'))).toBeCloseTo(12, 1);
  expect(hours(await auth.signInStudent(studio.codes.class, studio.codes.bea))).toBeCloseTo(14 * 24, 1);
  expect(await auth.signInTeacher(studio.codes.email, 'wrong-password')).toBeNull();
});

test('the door for the first teacher is closed once there is one', async () => {
  await expect(createFirstTeacher(studio.house, 'Odo', 'odo@tidewell.example', 'another-password')).rejects.toThrow(
    'Sign in instead',
  );
});
