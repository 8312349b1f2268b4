/** Deleting whatever belongs to some hand-ins, to a student or to a class, for good: rows, files, and what is under way. */
import type { Transaction } from '@/data/database/engine';
import {
  attempts,
  classes,
  corrections,
  handIns,
  looks,
  measurements,
  readings,
  students,
  tray,
  user,
} from '@/data/schema/tables';
import { and, eq, inArray, notExists, sql } from 'drizzle-orm';
import { ownClass, Refused, studentToChange, type Teacher } from '../access/actor';
import { markToForget } from '../forgetting';
import type { House } from '../house';
import { writeDown } from '../staff/chronicle';
import { removeUnused } from '../unused-files';
import type { Receipt } from '../views/receipt';

/** Files that a measurement keeps. */
export const filesOf = (against: (typeof measurements.$inferSelect)['against']): string[] =>
  against ? [against.planes, against.lightness].filter((hash) => hash !== null) : [];

/** Hashes of all files that rows of some hand-ins name, and how many photographs there are. */
async function filesOfHandIns(house: House, handInIds: readonly string[]) {
  const ids = [...handInIds, ''];
  const tries = await house.db
    .select({
      id: attempts.id,
      photo: attempts.photoHash,
      preview: attempts.previewHash,
      strip: attempts.stripHash,
    })
    .from(attempts)
    .where(inArray(attempts.handInId, ids));
  const attemptIds = [...tries.map((t) => t.id), ''];
  const read = await house.db
    .select({ against: measurements.against })
    .from(measurements)
    .where(inArray(measurements.attemptId, attemptIds));
  const corrected = await house.db
    .select({ hash: corrections.pictureHash })
    .from(corrections)
    .where(inArray(corrections.attemptId, attemptIds));
  const accepted = await house.db
    .select({ hash: readings.maskHash })
    .from(readings)
    .where(inArray(readings.handInId, ids));
  return {
    attemptIds: tries.map((t) => t.id),
    photographs: tries.length,
    hashes: [
      ...tries.flatMap((t) => [t.photo, t.preview, t.strip]),
      ...read.flatMap((m) => filesOf(m.against)),
      ...[...corrected, ...accepted].map((c) => c.hash),
    ].filter((hash) => hash !== null),
  };
}

/** Deletes rows by `remove`, and with them every file that nobody else needs; measuring that is under way stops. */
async function deleteAll(
  house: House,
  handInIds: readonly string[],
  more: readonly string[],
  remove: (tx: Transaction) => Promise<unknown>,
): Promise<Pick<Receipt, 'handIns' | 'photographs' | 'files'>> {
  const { attemptIds, photographs, hashes } = await filesOfHandIns(house, handInIds);
  for (const id of attemptIds) house.live.tell(id, { state: 'cancelled', stage: null });
  await house.db.transaction(async (tx) => {
    await remove(tx);
    await markToForget(tx);
  });
  const all = [...new Set([...hashes, ...more])];
  let files = 0;
  for (const hash of all) if (await removeUnused(house, hash)) files++;
  return { handIns: handInIds.length, photographs, files };
}

const looksOf = async (house: House, studentIds: readonly string[]): Promise<string[]> =>
  (
    await house.db
      .select({ hash: looks.pictureHash })
      .from(looks)
      .where(inArray(looks.studentId, [...studentIds, '']))
  ).map((l) => l.hash);

/** Those who are in no class any more. */
async function deleteUsers(tx: Transaction, userIds: readonly string[]): Promise<void> {
  const elsewhere = tx
    .select({ one: sql`1` })
    .from(students)
    .where(eq(students.userId, user.id));
  await tx.delete(user).where(and(eq(user.role, 'student'), inArray(user.id, [...userIds, '']), notExists(elsewhere)));
}

/** Deletes a student, all rows of theirs and the files that nobody else uses. */
export async function deleteStudent(house: House, teacher: Teacher, studentId: string): Promise<Receipt> {
  const own = await studentToChange(house, teacher, studentId);
  const ins = await house.db.select({ id: handIns.id }).from(handIns).where(eq(handIns.studentId, studentId));
  const gone = await deleteAll(
    house,
    ins.map((h) => h.id),
    await looksOf(house, [studentId]),
    async (tx) => {
      await tx.delete(students).where(eq(students.id, studentId));
      await deleteUsers(tx, [own.student.userId]);
      await writeDown(tx, teacher, 'deleted-student', { classId: own.class.id });
    },
  );
  return { at: new Date(), students: 1, ...gone };
}

/**
 * Deletes a class with its students and all that they handed in. References are the teacher's own and stay.
 *
 * @param name - the class's name as whoever deletes it wrote it down: nobody does so by mistake.
 * @throws Refused where that is another one.
 */
export async function deleteClass(house: House, teacher: Teacher, classId: string, name: string): Promise<Receipt> {
  const own = await ownClass(house, teacher, classId);
  if (name.trim() !== own.name) throw new Refused('Write the name of the class as it stands above to delete it.');
  const people = await house.db.select().from(students).where(eq(students.classId, classId));
  const ids = people.map((p) => p.id);
  const ins = await house.db
    .select({ id: handIns.id })
    .from(handIns)
    .where(inArray(handIns.studentId, [...ids, '']));
  const strays = await house.db.select().from(tray).where(eq(tray.classId, classId));
  const gone = await deleteAll(
    house,
    ins.map((h) => h.id),
    [...(await looksOf(house, ids)), ...strays.flatMap((s) => [s.photoHash, s.smallHash])],
    async (tx) => {
      await tx.delete(classes).where(eq(classes.id, classId));
      await deleteUsers(
        tx,
        people.map((p) => p.userId),
      );
    },
  );
  return { at: new Date(), students: people.length, ...gone };
}

/** Deletes some hand-ins, with their files. */
export const deleteHandIns = (house: House, handInIds: readonly string[]) =>
  deleteAll(house, handInIds, [], (tx) => tx.delete(handIns).where(inArray(handIns.id, [...handInIds, ''])));
