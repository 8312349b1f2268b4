/** A studio with a term in it: a class of many, every exercise tried three times by everybody. Rows alone, without photographs. */
import { defaultScale } from '@/core/exercise/scale';
import { measureGaps, targetsFor } from '@/core/scale/flags';
import { sampleScale, sampleSteps } from '@/core/scale/sample-result';
import { newId } from '@/data/schema/ids';
import { attempts, critiques, decisions, files, handIns, measurements } from '@/data/schema/tables';
import { addStudent, createClass } from '@/studio/class/people';
import { keepFigures } from '@/studio/hand-in/figures';
import type { House } from '@/studio/house';
import { setExercise } from '@/studio/plan/exercises';

export interface Term {
  readonly students: number;
  readonly exercises: number;
  readonly tries: number;
}

const terms = defaultScale('gouache', 9);
const targets = targetsFor(terms, []);
const DAY_MS = 86_400_000;

/** A scale that gets better from try to try, by a student's own faults. */
function resultOf(student: number, exercise: number, attempt: number) {
  const off = (step: number) => (6 * Math.sin(1 + student * 3.7 + step * 1.9 + exercise)) / (attempt + 1);
  const lightness = targets.map((t, i) => t + off(i));
  const flags = lightness.map((l, i) => (Math.abs(l - (targets[i] ?? l)) > 3 ? ['off_target' as const] : []));
  const own = Object.fromEntries(flags.map((f, i) => [i + 1, { flags: f }]));
  const gaps = measureGaps(
    terms,
    lightness,
    lightness.map(() => 0.3),
  );
  const ends = { lightest: lightness[0] ?? 0, darkest: lightness.at(-1) ?? 0 };
  const summary = { evenness: 0.1, order: 'kept' as const, ends, drift: { warm: [], cool: [] } };
  return sampleScale(sampleSteps({ targets, lightness, own }), { gaps, summary });
}

/** Puts a class with all that it handed in into a house; returns its id and its exercises. */
export async function putTermIn(house: House, teacherId: string, { students, exercises, tries }: Term) {
  const teacher = { role: 'teacher' as const, standing: 'teacher' as const, userId: teacherId, name: 'Hesper Dunnock' };
  const classId = await createClass(house, teacher, 'A whole term', 'white-is-one');
  const photos = Array.from({ length: tries }, (_, k) => `${k}`.repeat(64));
  await house.db
    .insert(files)
    .values(photos.map((hash) => ({ hash, type: 'image/jpeg', bytes: 1 })))
    .onConflictDoNothing();
  const people: string[] = [];
  for (let k = 0; k < students; k++) people.push((await addStudent(house, teacher, classId, `Student ${k + 1}`)).id);
  const work: string[] = [];
  for (let k = 0; k < exercises; k++) {
    const dueAt = new Date(Date.now() - (exercises - k) * 7 * DAY_MS + 10 * DAY_MS);
    work.push(await setExercise(house, teacher, classId, { title: `Exercise ${k + 1}`, note: '', dueAt, terms }));
  }
  for (const [x, exerciseId] of work.entries())
    for (const [s, studentId] of people.entries())
      await house.db.transaction(async (tx) => {
        const handInId = newId();
        // The newest waits; of the others most are passed.
        const last = x === work.length - 1 ? 'waiting' : (s + x) % 5 === 0 ? 'again' : 'passed';
        await tx.insert(handIns).values({ id: handInId, exerciseId, studentId, state: last });
        for (const [k, photoHash] of photos.entries()) {
          const id = newId();
          const createdAt = new Date(Date.now() - (exercises - x) * 7 * DAY_MS + k * DAY_MS);
          const own = { id, handInId, number: k + 1, state: 'measured' as const, photoHash, orientation: 1, terms };
          await tx.insert(attempts).values({ ...own, createdAt });
          const result = resultOf(s, x, k);
          const measured = { id: newId(), attemptId: id, version: result.version, result, against: null };
          await tx.insert(measurements).values({ ...measured, createdAt });
          await keepFigures(tx, id, result, terms);
          const isSent = k < tries - 1 || last !== 'waiting';
          const letter = { version: 1 as const, items: [] };
          await tx.insert(critiques).values({ attemptId: id, ...(isSent && { sentAt: createdAt, letter }) });
          const verdict = k === tries - 1 && last === 'passed' ? ('pass' as const) : ('again' as const);
          if (isSent) await tx.insert(decisions).values({ id: newId(), handInId, attemptId: id, verdict, createdAt });
        }
      });
  return { classId, exercises: work, students: people };
}
