/** A whole evening's pile as a file to drop on the Rack: fourteen pictures, two of them strays, one the same picture twice. */
import { defaultScale } from '@/core/exercise/scale';
import { exerciseLayout } from '@/core/kinds/table';
import { students } from '@/data/schema/tables';
import { type CameraCondition, USABLE } from '@/devices/condition-names';
import { planFor } from '@/devices/paint-conditions';
import { exerciseFor, type Student, type Teacher } from '@/studio/access/actor';
import type { House } from '@/studio/house';
import { setExercise, sheetOf } from '@/studio/plan/exercises';
import { eq } from 'drizzle-orm';
import { createWriteStream } from 'node:fs';
import path from 'node:path';
import { pipeline } from 'node:stream/promises';
import yazl from 'yazl';

const LIMIT_MS = 120_000;
/** Smaller than a phone's, so that fourteen are made while one waits. */
const CAMERA = { megapixels: 6, orientation: 1, location: false } as const;
const STEPS = 5;

export const PILE_FILE = 'pile.zip';

export function setPileExercise(house: House, teacher: Teacher, classId: string): Promise<string> {
  return setExercise(house, teacher, classId, {
    title: 'Five greys in one evening',
    note: '',
    dueAt: null,
    terms: defaultScale('gouache', STEPS),
  });
}

/** Pieces of work that photograph the pile, and one that writes it once they are done. */
export function pilePictures(
  house: House,
  teacher: Teacher,
  exerciseId: string,
  who: readonly Student[],
): { readonly shots: readonly (() => Promise<void>)[]; readonly write: () => Promise<void> } {
  const pictures: { readonly name: string; readonly bytes: Uint8Array }[] = [];
  const shot = (name: string, student: Student | null, condition: CameraCondition, seed: number) => async () => {
    const own = await exerciseFor(house, teacher, exerciseId);
    const [row] = student ? await house.db.select().from(students).where(eq(students.id, student.studentId)) : [];
    const layout = exerciseLayout(own.exercise.terms);
    const plan = planFor(seed % 3 === 0 ? 'too-close' : 'fine', STEPS, seed);
    const bytes = await house.pool.run(
      { task: 'practice', ...CAMERA, condition, sheet: sheetOf(own, row ?? null), layout, plan, seed },
      { limitMs: LIMIT_MS },
    );
    pictures.push({ name, bytes });
  };
  const named = (n: number) => `evening/IMG_${String(n).padStart(4, '0')}.jpg`;
  const [first] = who;
  return {
    shots: [
      ...who.map((student, i) => shot(named(i + 1), student, USABLE[i % USABLE.length] ?? 'studio', 700 + i)),
      // A second try of the first student, and what strays into a pile.
      ...(first ? [shot(named(who.length + 1), first, 'studio', 750)] : []),
      shot(named(who.length + 3), null, 'studio', 751),
      shot(named(who.length + 4), null, 'no-sheet', 752),
    ],
    async write() {
      const zip = new yazl.ZipFile();
      const sorted = pictures.sort((a, b) => a.name.localeCompare(b.name));
      for (const { name, bytes } of sorted) zip.addBuffer(Buffer.from(bytes), name);
      // One picture came twice.
      const twice = sorted[1];
      if (twice) zip.addBuffer(Buffer.from(twice.bytes), named(who.length + 2));
      zip.end();
      await pipeline(zip.outputStream, createWriteStream(path.join(house.settings.folder, PILE_FILE)));
    },
  };
}
