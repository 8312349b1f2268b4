/** A studio with people in it, made by the studio's own hands before it is served: its doors are walked through in another story. */
import { defaultTerms } from '@/core/kinds/table';
import { attemptFor, type Student, type Teacher } from '@/studio/access/actor';
import { newClassCode } from '@/data/schema/ids';
import { students } from '@/data/schema/tables';
import { addStudent, createClass } from '@/studio/class/people';
import { holdLetters } from '@/studio/critique/sitting';
import { receivePhoto } from '@/studio/hand-in/receive';
import { type House, openHouse } from '@/studio/house';
import { setExercise } from '@/studio/plan/exercises';
import { renameSync, writeFileSync } from 'node:fs';
import path from 'node:path';

/** What somebody types at the door. */
export const HESPER = { name: 'Hesper Dunnock', email: 'hesper@tidewell.example', password: 'saltpans-and-hills' };
const OWN_CODE = 'FRESHPAN';

/** A teacher with a class, a student of it and nine greys to paint; teachers see nothing of each other. */
export interface Room {
  readonly student: string;
  readonly email: string;
  readonly codes: { readonly class: string; readonly own: string };
  readonly exerciseId: string;
}

/** Does something in a studio while it is not served. */
export async function atNight<T>(folder: string, work: (house: House) => Promise<T>): Promise<T> {
  // Nothing is measured then.
  const pool = { run: () => Promise.reject(new Error('No work is done yet.')), close: () => Promise.resolve() };
  const house = await openHouse(
    { folder, databaseUrl: null, s3: null, minFree: 0, demo: false, backupDays: null, role: 'all', metrics: null },
    pool,
  );
  try {
    return await work(house);
  } finally {
    await house.close();
  }
}

/** Puts a room for each of some students into a studio that is not served yet, each with a teacher of its own. */
export const furnish = (folder: string, people: readonly string[]): Promise<Room[]> =>
  atNight(folder, async (house) => {
    const rooms: Room[] = [];
    for (const [k, student] of people.entries()) {
      const { name, password } = HESPER;
      const email = k === 0 ? HESPER.email : `hesper-${k}@tidewell.example`;
      const userId = await house.auth.createTeacher(name, email, password, 'owner');
      const teacher: Teacher = { role: 'teacher', standing: 'owner', userId, name };
      // Evenings at which letters are held are walked through in a story of their own.
      await holdLetters(house, teacher, false);
      const code = newClassCode();
      const classId = await createClass(house, teacher, 'Tidewell Evening Studio', 'white-is-one', code);
      await addStudent(house, teacher, classId, student, OWN_CODE);
      const terms = defaultTerms('scale');
      const set = { title: 'Nine greys from white to black', note: '', dueAt: null, terms };
      const exerciseId = await setExercise(house, teacher, classId, set);
      rooms.push({ student, email, codes: { class: code, own: OWN_CODE }, exerciseId });
    }
    return rooms;
  });

/** Hands in a photograph for the one student of a studio, and loses its file; returns what puts it back. */
export const handInAndLose = (folder: string, exerciseId: string, photograph: Buffer): Promise<() => void> =>
  atNight(folder, async (house) => {
    const [row] = await house.db.select().from(students);
    if (!row) throw new Error('There is no student.');
    const student: Student = { role: 'student', ...row, studentId: row.id, elsewhere: [] };
    const file = path.join(house.files.incoming, 'photograph.jpg');
    writeFileSync(file, photograph);
    const { attemptId } = await receivePhoto(house, student, exerciseId, file);
    const { attempt } = await attemptFor(house, student, attemptId);
    const stored = await house.files.local(attempt.photoHash);
    const aside = `${folder}.lost`;
    renameSync(stored, aside);
    return () => renameSync(aside, stored);
  });
