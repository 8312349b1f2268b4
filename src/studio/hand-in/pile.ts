/**
 * A pile of photographs at once: each goes by the code on its sheet to its student and exercise; what can't be told
 * waits in a tray to be given by hand.
 */
import type { SheetTag } from '@/core/sheet/qr';
import { newId } from '@/data/schema/ids';
import { exercises, students, tray } from '@/data/schema/tables';
import { UnusablePicture } from '@/workers/decoding/decode';
import { and, asc, eq } from 'drizzle-orm';
import { rm, writeFile } from 'node:fs/promises';
import path from 'node:path';
import { classOf, classToChange, NotFound, refuseAssistant, Refused, type Teacher } from '../access/actor';
import type { House } from '../house';
import { removeUnused } from '../unused-files';
import { checkRoom, keepFile, keepPhoto, recordAttempt } from './receive';

export type PileOutcome =
  | { readonly name: string; readonly kind: 'handed-in'; readonly student: string; readonly exercise: string }
  /** The very same picture was there before. */
  | { readonly name: string; readonly kind: 'known'; readonly say: string }
  | { readonly name: string; readonly kind: 'tray'; readonly say: string }
  | { readonly name: string; readonly kind: 'refused'; readonly say: string };

/** Whom a sheet's code names in this class; a sentence where it does not. */
async function ownerOf(house: House, classId: string, tag: SheetTag | null) {
  if (!tag) return { say: 'The code on this sheet could not be read.' };
  if (!tag.exercise || !tag.student) return { say: 'This sheet carries no name: it was printed for everybody.' };
  const [exercise] = await house.db.select().from(exercises).where(eq(exercises.id, tag.exercise));
  const [student] = await house.db.select().from(students).where(eq(students.id, tag.student));
  if (!exercise || !student)
    return { say: 'This sheet belongs to an exercise or a student that is not here any more.' };
  if (exercise.classId !== classId || student.classId !== classId)
    return { say: 'This sheet belongs to another class.' };
  return { exercise, student };
}

async function intoTray(
  house: House,
  classId: string,
  name: string,
  photo: { hash: string; orientation: number },
  small: Uint8Array,
  reason: string,
): Promise<PileOutcome> {
  const smallHash = await keepFile(house, small, 'image/jpeg');
  const [row] = await house.db
    .insert(tray)
    .values({ id: newId(), classId, photoHash: photo.hash, smallHash, orientation: photo.orientation, name, reason })
    .onConflictDoNothing()
    .returning({ id: tray.id });
  return row
    ? { name, kind: 'tray', say: reason }
    : { name, kind: 'known', say: 'This very picture lies in the tray already.' };
}

async function sortOne(
  house: House,
  classId: string,
  name: string,
  file: string,
  tag: SheetTag | null,
  small: Uint8Array,
): Promise<PileOutcome> {
  const photo = await keepPhoto(house, file);
  const owner = await ownerOf(house, classId, tag);
  if (owner.say !== undefined) return intoTray(house, classId, name, photo, small, owner.say);
  const { exercise, student } = owner;
  try {
    const { fresh } = await recordAttempt(house, {
      exerciseId: exercise.id,
      studentId: student.id,
      terms: exercise.terms,
      photo,
      target: null,
    });
    return fresh
      ? { name, kind: 'handed-in', student: student.name, exercise: exercise.title }
      : { name, kind: 'known', say: `${student.name} has handed in this very picture already.` };
  } catch (error) {
    if (error instanceof Refused)
      return intoTray(house, classId, name, photo, small, `${student.name}: ${error.message}`);
    throw error;
  }
}

/** Sorts one picture; two sheets in it go two ways. Never throws on a picture that can't be used: that is an outcome. */
export async function sortIntoClass(
  house: House,
  teacher: Teacher,
  classId: string,
  name: string,
  file: string,
): Promise<PileOutcome[]> {
  await classToChange(house, teacher, classId);
  await checkRoom(house);
  try {
    const { sheets, small, say } = await house.pool.run({ task: 'sort', file });
    if (sheets.length === 0)
      return [
        await intoTray(
          house,
          classId,
          name,
          await keepPhoto(house, file),
          small,
          say ?? 'No worksheet was found in it.',
        ),
      ];
    const outcomes: PileOutcome[] = [];
    for (const [i, sheet] of sheets.entries()) {
      if (!sheet.cut) {
        outcomes.push(await sortOne(house, classId, name, file, sheet.tag, sheet.small));
        continue;
      }
      const own = path.join(house.files.incoming, `cut-${newId()}`);
      await writeFile(own, sheet.cut);
      try {
        outcomes.push(await sortOne(house, classId, `${name}, sheet ${i + 1}`, own, sheet.tag, sheet.small));
      } finally {
        await rm(own, { force: true });
      }
    }
    return outcomes;
  } catch (error) {
    if (error instanceof UnusablePicture) return [{ name, kind: 'refused', say: error.message }];
    throw error;
  }
}

export async function trayOf(house: House, teacher: Teacher, classId: string) {
  await classOf(house, teacher, classId);
  return house.db
    .select({ id: tray.id, name: tray.name, reason: tray.reason })
    .from(tray)
    .where(eq(tray.classId, classId))
    .orderBy(asc(tray.createdAt));
}

async function fromTray(house: House, teacher: Teacher, trayId: string) {
  const [row] = await house.db.select().from(tray).where(eq(tray.id, trayId));
  if (!row) throw new NotFound();
  await classOf(house, teacher, row.classId);
  return row;
}

/** The small picture of one in the tray. */
export async function trayPicture(house: House, teacher: Teacher, trayId: string): Promise<Buffer | null> {
  return house.files.read((await fromTray(house, teacher, trayId)).smallHash);
}

/** Gives a picture to a student's exercise of the same class; it leaves the tray. */
export async function giveFromTray(
  house: House,
  teacher: Teacher,
  trayId: string,
  to: { readonly studentId: string; readonly exerciseId: string },
): Promise<void> {
  refuseAssistant(teacher);
  const row = await fromTray(house, teacher, trayId);
  const [student] = await house.db
    .select()
    .from(students)
    .where(and(eq(students.id, to.studentId), eq(students.classId, row.classId)));
  const [exercise] = await house.db
    .select()
    .from(exercises)
    .where(and(eq(exercises.id, to.exerciseId), eq(exercises.classId, row.classId)));
  if (!student || !exercise) throw new NotFound();
  await recordAttempt(house, {
    exerciseId: exercise.id,
    studentId: student.id,
    terms: exercise.terms,
    photo: { hash: row.photoHash, orientation: row.orientation },
    target: null,
  });
  await house.db.delete(tray).where(eq(tray.id, trayId));
  await removeUnused(house, row.smallHash);
}

/** Throws a picture of the tray away for good. */
export async function discardFromTray(house: House, teacher: Teacher, trayId: string): Promise<void> {
  refuseAssistant(teacher);
  const row = await fromTray(house, teacher, trayId);
  await house.db.delete(tray).where(eq(tray.id, trayId));
  for (const hash of [row.photoHash, row.smallHash]) await removeUnused(house, hash);
}
