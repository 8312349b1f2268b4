/** What those who teach a student remember of them. Students do not see it; it goes out with all that is kept of them. */
import { newId } from '@/data/schema/ids';
import { studentNotes, user } from '@/data/schema/tables';
import { and, desc, eq } from 'drizzle-orm';
import { NotFound, studentToChange, type Teacher } from '../access/actor';
import { isToWrite } from '../access/meanwhile';
import type { House } from '../house';
import { writeDown } from '../staff/chronicle';
import { textSchema } from '../words';

const noteSchema = textSchema.refine((s) => s !== '', 'Write something down first.');

export interface Note {
  readonly id: string;
  readonly text: string;
  readonly by: string | null;
  readonly at: Date;
  readonly written: number;
}

/** The notes on a student, the newest first. */
export async function notesOn(house: House, teacher: Teacher, studentId: string): Promise<Note[]> {
  await studentToChange(house, teacher, studentId);
  return house.db
    .select({
      ...{ id: studentNotes.id, text: studentNotes.text, by: user.name },
      ...{ at: studentNotes.createdAt, written: studentNotes.written },
    })
    .from(studentNotes)
    .leftJoin(user, eq(studentNotes.writtenBy, user.id))
    .where(eq(studentNotes.studentId, studentId))
    .orderBy(desc(studentNotes.createdAt), desc(studentNotes.id));
}

export async function writeNote(house: House, teacher: Teacher, studentId: string, given: unknown): Promise<void> {
  const own = await studentToChange(house, teacher, studentId);
  const text = noteSchema.parse(given);
  await house.db.insert(studentNotes).values({ id: newId(), studentId, text, writtenBy: teacher.userId });
  await writeDown(house.db, teacher, 'noted', { classId: own.class.id, studentId });
}

/**
 * Changes a note, and returns how often it was written; empty takes it away.
 *
 * @throws ChangedMeanwhile where somebody else changed it since it was seen; NotFound where there is none.
 */
export async function changeNote(
  house: House,
  teacher: Teacher,
  studentId: string,
  id: string,
  given: unknown,
  seen: number,
): Promise<number> {
  const own = await studentToChange(house, teacher, studentId);
  const text = textSchema.parse(given);
  return house.db.transaction(async (tx) => {
    const which = and(eq(studentNotes.id, id), eq(studentNotes.studentId, studentId));
    const [row] = await tx.select().from(studentNotes).where(which).for('update');
    if (!row) throw new NotFound();
    if (!isToWrite(text, { theirs: row.text, written: row.written }, seen)) return row.written;
    if (text === '') await tx.delete(studentNotes).where(which);
    else
      await tx
        .update(studentNotes)
        .set({ text, written: row.written + 1 })
        .where(which);
    await writeDown(tx, teacher, 'noted', { classId: own.class.id, studentId });
    return row.written + 1;
  });
}
