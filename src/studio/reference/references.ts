/** Reference pictures: brought in with where they are from, prepared, handed to exercises, taken out as files. */
import { stepLabels } from '@/core/exercise/numbering';
import type { NotanSchool } from '@/core/exercise/terms';
import { kindOf, sittingIn } from '@/core/kinds/table';
import { type Preparation, preparationSchema, untouched } from '@/core/reference/preparation';
import type { ReferenceFile } from '@/core/reference/reference-files';
import { newId } from '@/data/schema/ids';
import { classes, exercises, referencePictures } from '@/data/schema/tables';
import type { PreparedReference } from '@/workers/tasks/prepared-plane';
import { and, asc, desc, eq, inArray, or } from 'drizzle-orm';
import { LRUCache } from 'lru-cache';
import { z } from 'zod';
import { type Actor, classOf, exerciseFor, isTaughtBy, NotFound, Refused, type Teacher } from '../access/actor';
import { isToWrite } from '../access/meanwhile';
import { checkRoom, keepFile, keepPhoto } from '../hand-in/receive';
import { markToForget } from '../forgetting';
import type { House } from '../house';
import { removeUnused } from '../unused-files';
import { nameSchema, textSchema } from '../words';

const said = (what: string) => z.string().trim().min(1, what).max(200, 'Keep it to 200 characters.');

export const originSchema = z.object({
  title: nameSchema,
  source: said('Say where the picture is from: your own photograph, a book, a colleague.'),
  licence: said('Say who may use it: only this class, anybody, nobody yet.'),
  note: textSchema.default(''),
});
export type Origin = z.input<typeof originSchema>;

export type ReferenceRow = typeof referencePictures.$inferSelect;

/** Takes a picture in. Throws UnusablePicture with words for whoever sent it. */
export async function bringIn(house: House, teacher: Teacher, file: string, given: Origin): Promise<string> {
  const origin = originSchema.parse(given);
  await checkRoom(house);
  const { hash, orientation } = await keepPhoto(house, file);
  const { working, small, width, height } = await house.pool.run({
    task: 'bring-in',
    file: await house.files.local(hash),
    orientation,
  });
  const [workingHash, smallHash] = [
    await keepFile(house, working, 'image/png'),
    await keepFile(house, small, 'image/jpeg'),
  ];
  const id = newId();
  await house.db.insert(referencePictures).values({
    id,
    teacherId: teacher.userId,
    ...origin,
    pictureHash: hash,
    workingHash,
    smallHash,
    width,
    height,
    preparation: untouched(width / height),
  });
  return id;
}

export async function referencesOf(house: House, teacher: Teacher): Promise<ReferenceRow[]> {
  return house.db
    .select()
    .from(referencePictures)
    .where(eq(referencePictures.teacherId, teacher.userId))
    .orderBy(desc(referencePictures.createdAt), asc(referencePictures.id));
}

/** A picture of the teacher's own, or one that a class they teach paints from. */
export async function referenceFor(house: House, teacher: Teacher, referenceId: string): Promise<ReferenceRow> {
  const painted = house.db
    .select({ id: exercises.referenceId })
    .from(exercises)
    .innerJoin(classes, eq(exercises.classId, classes.id))
    .where(and(eq(exercises.referenceId, referenceId), isTaughtBy(teacher)));
  const [row] = await house.db
    .select()
    .from(referencePictures)
    .where(
      and(
        eq(referencePictures.id, referenceId),
        or(eq(referencePictures.teacherId, teacher.userId), inArray(referencePictures.id, painted)),
      ),
    );
  if (!row) throw new NotFound();
  return row;
}

/** A picture of the teacher's own, to be changed. Throws Refused where a colleague brought it in. */
async function ownReference(house: House, teacher: Teacher, referenceId: string): Promise<ReferenceRow> {
  const row = await referenceFor(house, teacher, referenceId);
  if (row.teacherId !== teacher.userId)
    throw new Refused('A colleague brought this picture in: ask them, or bring it in for yourself.');
  return row;
}

/**
 * Keeps how a picture was prepared; returns its revision. What was measured before says so; nothing is measured anew by it.
 *
 * @throws ChangedMeanwhile where it was prepared otherwise since the revision that was seen.
 */
export async function keepPreparation(
  house: House,
  teacher: Teacher,
  referenceId: string,
  given: unknown,
  seen: number | null,
): Promise<number> {
  await ownReference(house, teacher, referenceId);
  const next = preparationSchema.parse(given);
  return house.db.transaction(async (tx) => {
    const own = eq(referencePictures.id, referenceId);
    const [row] = await tx.select().from(referencePictures).where(own).for('update');
    if (!row) throw new NotFound();
    if (!isToWrite(next, { theirs: row.preparation, written: row.revision }, seen)) return row.revision;
    await tx
      .update(referencePictures)
      .set({ preparation: next, revision: row.revision + 1 })
      .where(own);
    return row.revision + 1;
  });
}

/**
 * Takes a picture away for good, with its files that nobody else uses; returns how many went.
 *
 * @throws Refused while an exercise is painted from it.
 */
export async function dropReference(house: House, teacher: Teacher, referenceId: string): Promise<number> {
  const row = await ownReference(house, teacher, referenceId);
  const [used] = await house.db
    .select({ title: exercises.title })
    .from(exercises)
    .where(eq(exercises.referenceId, referenceId))
    .limit(1);
  if (used) throw new Refused(`“${used.title}” is painted from this picture: give that exercise another one first.`);
  await house.db.transaction(async (tx) => {
    await tx.delete(referencePictures).where(eq(referencePictures.id, referenceId));
    await markToForget(tx);
  });
  let files = 0;
  for (const hash of new Set([row.pictureHash, row.workingHash, row.smallHash]))
    if (await removeUnused(house, hash)) files++;
  return files;
}

export const REFERENCE_PICTURES = ['working', 'small'] as const;

/** Bytes of a picture to work on or to show. */
export async function referencePicture(
  house: House,
  teacher: Teacher,
  referenceId: string,
  kind: (typeof REFERENCE_PICTURES)[number],
): Promise<{ bytes: Buffer; type: string }> {
  const row = await referenceFor(house, teacher, referenceId);
  return kind === 'working'
    ? { bytes: await house.files.read(row.workingHash), type: 'image/png' }
    : { bytes: await house.files.read(row.smallHash), type: 'image/jpeg' };
}

/** A reference as workers take it, for an exercise or as it stands on the bench. */
export async function prepared(
  house: House,
  row: ReferenceRow,
  wanted: { tones: number; school: NotanSchool } = row.preparation,
  values: Partial<Pick<Preparation, 'ends' | 'key' | 'pushPercent'>> = {},
): Promise<PreparedReference> {
  return {
    picture: await house.files.local(row.workingHash),
    preparation: { ...row.preparation, ...values },
    wanted: { tones: wanted.tones, school: wanted.school },
  };
}

function wordsFor(row: ReferenceRow, labels: readonly string[]) {
  const { title, source, licence, note } = row;
  return { title, source, licence, note, labels };
}

const labelsFor = (numbering: Parameters<typeof stepLabels>[0], tones: number, ends: Preparation['ends']) =>
  stepLabels(numbering, { steps: tones, order: 'light-first', spacing: 'lightness', ends });

/** A file of a reference as it stands on the bench, with a class's numbers where one is named. Throws UnusablePicture with what to do. */
export async function referenceFileFor(
  house: House,
  teacher: Teacher,
  referenceId: string,
  what: ReferenceFile,
  classId: string | null,
): Promise<Uint8Array> {
  const row = await referenceFor(house, teacher, referenceId);
  const { tones, ends } = row.preparation;
  const numbering = classId === null ? 'white-is-one' : (await classOf(house, teacher, classId)).numbering;
  return house.pool.run({
    task: 'reference-file',
    what,
    reference: await prepared(house, row),
    words: wordsFor(row, labelsFor(numbering, tones, ends)),
    paper: 'a4',
  });
}

/** Tones to look at, made once for a whole class that opens the page together; the oldest go first. */
const shown = new LRUCache<string, Promise<Uint8Array>>({ max: 24 });

function onceFor(key: string, make: () => Promise<Uint8Array>): Promise<Uint8Array> {
  const made = shown.get(key) ?? make();
  shown.set(key, made);
  // What failed is tried again.
  made.catch(() => shown.delete(key));
  return made;
}

/** The picture of an exercise's reference as its students may see it, and the sheets to print; null where it has none. */
export async function exerciseReference(
  house: House,
  actor: Actor,
  exerciseId: string,
  what: 'tones' | 'grey' | 'sheets',
): Promise<Uint8Array | null> {
  const { exercise, class: group } = await exerciseFor(house, actor, exerciseId);
  const row = await referenceOfExercise(house, exercise.referenceId);
  if (!row) return null;
  const { terms } = exercise;
  const { ends, paper } = terms;
  // Kinds that are not measured in tones show the picture in as many as it was prepared in.
  const wanted = kindOf(terms).wanted(terms) ?? row.preparation;
  const reference = await prepared(house, row, wanted, { ends, ...sittingIn(terms, row.preparation) });
  const make = () =>
    house.pool.run({
      task: 'reference-file',
      what,
      reference,
      words: wordsFor(row, labelsFor(group.numbering, wanted.tones, ends)),
      paper,
    });
  return what !== 'sheets'
    ? onceFor(
        JSON.stringify([
          what,
          row.id,
          row.revision,
          reference.wanted,
          reference.preparation.key,
          reference.preparation.pushPercent,
          ends,
        ]),
        make,
      )
    : make();
}

export async function referenceOfExercise(house: House, referenceId: string | null): Promise<ReferenceRow | null> {
  if (referenceId === null) return null;
  const [row] = await house.db.select().from(referencePictures).where(eq(referencePictures.id, referenceId));
  return row ?? null;
}

/** Exercises that are painted from a picture. */
export async function usesOf(house: House, teacher: Teacher, referenceId: string) {
  return house.db
    .select({ id: exercises.id, title: exercises.title, className: classes.name })
    .from(exercises)
    .innerJoin(classes, eq(exercises.classId, classes.id))
    .where(and(eq(exercises.referenceId, referenceId), isTaughtBy(teacher)))
    .orderBy(asc(exercises.title));
}
