/** Studios for tests, in a folder of their own: a teacher, a class, two students, an exercise, and stand-in workers. */
import type { CardReadings } from '@/core/capture/card-profile';
import { SAMPLE_CAPTURE } from '@/core/capture/sample-capture';
import { defaultScale } from '@/core/exercise/scale';
import { measureGaps, targetsFor } from '@/core/scale/flags';
import type { DabResult } from '@/core/scale/read-dab';
import { type ScaleResult } from '@/core/scale/result';
import { sampleScale, sampleSteps } from '@/core/scale/sample-result';
import { freshDatabase } from '@/data/database/test-database';
import { newClassCode, newId } from '@/data/schema/ids';
import { students } from '@/data/schema/tables';
import { UnusablePicture } from '@/workers/decoding/decode';
import type { WorkerPool } from '@/workers/pool';
import type { Answers, Task } from '@/workers/protocol';
import { asAWhole } from '@/workers/tasks/as-a-whole';
import { bringIn } from '@/workers/tasks/bring-in';
import { correctionTask } from '@/workers/tasks/correction';
import { rescueTask } from '@/workers/tasks/rescue';
import { fitTask } from '@/workers/tasks/fit';
import type { LookTaken } from '@/workers/tasks/look';
import { nearestTask } from '@/workers/tasks/nearest';
import { judgeNotan, type NotanHandIn, readingMask, tonesPicture } from '@/workers/tasks/notan-hand-in';
import { type PaintingHandIn, paintingPicture } from '@/workers/tasks/painting-hand-in';
import { referenceFile } from '@/workers/tasks/reference-file';
import type { SortedPicture } from '@/workers/tasks/sort';
import { eq } from 'drizzle-orm';
import { rmSync } from 'node:fs';
import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import path from 'node:path';
import sharp from 'sharp';
import { attemptFor, type Student, type Teacher } from './access/actor';
import { addStudent, createClass } from './class/people';
import { lastDeed, takeBack } from './critique/taking-back';
import { receivePhoto } from './hand-in/receive';
import { type House, openHouse } from './house';
import { setExercise } from './plan/exercises';
import { attemptViews } from './views/attempt';
import { judgedBy } from './views/said';

const terms = defaultScale('gouache', 5);

/** A result as the workers give it, for the states that follow from it. */
export function resultWith(accepted: boolean): ScaleResult {
  const lightness = targetsFor(terms, []);
  // One step is streaky, so that there is something to say.
  const own = { 3: { spread: 2, flags: ['streaky' as const] } };
  return sampleScale(sampleSteps({ targets: lightness, own }), {
    capture: {
      ...SAMPLE_CAPTURE,
      accepted,
      issues: accepted
        ? []
        : [{ code: 'glare', value: 2, limit: 1, box: null, say: 'Turn the sheet away from the lamp.' }],
    },
    gaps: measureGaps(
      terms,
      lightness,
      lightness.map(() => 0.3),
    ),
    summary: { evenness: 0, order: 'kept', ends: { lightest: 96, darkest: 24 }, drift: { warm: [], cool: [] } },
  });
}

/** What the next measurement does: gives a result, or fails. */
type Next = ScaleResult | Error | ((signal: AbortSignal | undefined) => Promise<ScaleResult>);

/** An attempt as a teacher looks at it. */
export async function viewOf({ house, teacher }: Pick<TestStudio, 'house' | 'teacher'>, attemptId: string) {
  const own = await attemptFor(house, teacher, attemptId);
  const [view] = await attemptViews(house, [own.attempt], judgedBy(own));
  return view;
}

/** What is said of an attempt: the draft with its edits, or the letter as it was sent. */
export const saidOf = async (studio: Pick<TestStudio, 'house' | 'teacher'>, attemptId: string) =>
  (await viewOf(studio, attemptId))?.critique?.items ?? [];

/** Takes back what the teacher did last; says what that was, null where there is nothing left. */
export async function takenBack({ house, teacher }: Pick<TestStudio, 'house' | 'teacher'>): Promise<string | null> {
  const last = await lastDeed(house, teacher);
  if (last) await takeBack(house, teacher, last.id);
  return last?.say ?? null;
}

export interface TestStudio {
  readonly house: House;
  readonly teacher: Teacher;
  readonly classId: string;
  readonly exerciseId: string;
  readonly bea: Student;
  readonly ruta: Student;
  readonly codes: { readonly email: string; readonly class: string; readonly bea: string };
  next(what: Next): void;
  /** What the next picture of a pile turns out to hold; null: it is no picture. */
  nextSorted(result: SortedPicture | null): void;
  /** The last task of measuring that the workers were given. */
  lastTask(): Task | null;
  /** What the next painting in few tones reads as. */
  nextNotan(what: NotanHandIn): void;
  /** What the next painting in many values reads as. */
  nextPainting(what: PaintingHandIn): void;
  /** What the next look shows. */
  nextLook(result: LookTaken): void;
  /** What the next photograph of two sheets says of the new one; null: it can't be used. */
  nextCarried(result: CardReadings | null): void;
  /** What the next dab reads as. */
  nextDab(result: DabResult): void;
  /** Hands in a photograph of its own shade; the same shade is the same file. */
  send(student: Student, shade: number, exerciseId?: string): Promise<string>;
}

const tinyPicture = async (background: string): Promise<Uint8Array> =>
  new Uint8Array(
    await sharp({ create: { width: 8, height: 8, channels: 3, background } })
      .jpeg()
      .toBuffer(),
  );

async function studentOf(house: House, id: string): Promise<Student> {
  const [row] = await house.db.select().from(students).where(eq(students.id, id));
  if (!row) throw new Error('The student is not there.');
  const place = { studentId: row.id, classId: row.classId, elsewhere: [] };
  return { role: 'student', userId: row.userId, ...place, name: row.name };
}

interface TestHouse {
  readonly house: House;
  /** A teacher with a class that share nothing with any before. */
  openStudio(): Promise<TestStudio>;
  close(): Promise<void>;
}

/** Opening a house takes longer than any test, so that they share one. Its folder goes with the process at the latest. */
async function openTestHouse(): Promise<TestHouse> {
  const folder = await mkdtemp(path.join(tmpdir(), 'fair-grey-studio-'));
  process.once('exit', () => rmSync(folder, { recursive: true, force: true }));
  const databaseUrl = await freshDatabase(folder);
  const [preview, strip] = await Promise.all([tinyPicture('#ddd'), tinyPicture('#333')]);
  let what: Next = resultWith(true);
  let sorted: SortedPicture | null = null;
  let last: Task | null = null;
  let look: LookTaken = { look: null, issues: [], picture: null };
  let carried: CardReadings | null = null;
  let notan: NotanHandIn | null = null;
  let painting: PaintingHandIn | null = null;
  let dab: DabResult = { issues: [], reading: null, bare: false };
  const pool: WorkerPool = {
    async run<T extends Task>(task: T, options?: { signal?: AbortSignal }) {
      if (task.task === 'pictures') return { preview, strip } as Answers[T['task']];
      if (task.task === 'correction') return (await correctionTask(task)) as Answers[T['task']];
      if (task.task === 'rescue') return (await rescueTask(task)) as Answers[T['task']];
      if (task.task === 'as-a-whole') return (await asAWhole(task)) as Answers[T['task']];
      if (task.task === 'bring-in') return (await bringIn(task)) as Answers[T['task']];
      if (task.task === 'reference-file') return (await referenceFile(task)) as Answers[T['task']];
      if (task.task === 'judge-notan') return (await judgeNotan(task)) as Answers[T['task']];
      if (task.task === 'reading-mask') return (await readingMask(task)) as Answers[T['task']];
      if (task.task === 'tones-picture') return (await tonesPicture(task)) as Answers[T['task']];
      if (task.task === 'painting-picture') return (await paintingPicture(task)) as Answers[T['task']];
      if (task.task === 'measure-painting') {
        last = task;
        if (!painting) throw new UnusablePicture('No painting was laid ready.');
        return painting as Answers[T['task']];
      }
      if (task.task === 'measure-from-life') {
        last = task;
        if (!painting) throw new UnusablePicture('No painting was laid ready.');
        return { result: painting.result, lightness: painting.laid } as Answers[T['task']];
      }
      if (task.task === 'measure-notan') {
        last = task;
        if (!notan) throw new UnusablePicture('No painting was laid ready.');
        return notan as Answers[T['task']];
      }
      if (task.task === 'fit') return fitTask(task) as Answers[T['task']];
      if (task.task === 'nearest') return nearestTask(task) as Answers[T['task']];
      if (task.task === 'sort') {
        if (!sorted) throw new UnusablePicture('This file is not a picture that can be read.');
        return sorted as Answers[T['task']];
      }
      if (task.task === 'measure-scale') last = task;
      if (task.task === 'look') {
        last = task;
        return look as Answers[T['task']];
      }
      if (task.task === 'carry') {
        last = task;
        if (!carried) throw new UnusablePicture('Only one sheet was found.');
        return carried as Answers[T['task']];
      }
      if (task.task === 'dab') return dab as Answers[T['task']];
      if (what instanceof Error) throw what;
      return (typeof what === 'function' ? await what(options?.signal) : what) as Answers[T['task']];
    },
    close: () => Promise.resolve(),
  };
  const house = await openHouse(
    { folder, databaseUrl, s3: null, minFree: 0, demo: false, backupDays: null, role: 'all', metrics: null },
    pool,
  );
  return {
    house,
    async openStudio() {
      what = resultWith(true);
      const email = `${newId()}@tidewell.example`;
      const userId = await house.auth.createTeacher('Hesper Dunnock', email, 'saltpans-and-hills');
      const teacher: Teacher = { role: 'teacher', standing: 'teacher', userId, name: 'Hesper Dunnock' };
      const code = newClassCode();
      const classId = await createClass(house, teacher, 'Tidewell Evening Studio', 'white-is-one', code);
      const bea = await addStudent(house, teacher, classId, 'Bea Lindqvarn', 'FRESHPAN');
      const ruta = await addStudent(house, teacher, classId, 'Ruta Vane');
      const exerciseId = await setExercise(house, teacher, classId, {
        title: 'Five greys',
        note: '',
        dueAt: null,
        terms,
      });
      return {
        house,
        teacher,
        classId,
        exerciseId,
        bea: await studentOf(house, bea.id),
        ruta: await studentOf(house, ruta.id),
        codes: { email, class: code, bea: bea.code },
        next: (given) => {
          what = given;
        },
        nextSorted: (given) => {
          sorted = given;
        },
        lastTask: () => last,
        nextLook: (given) => {
          look = given;
        },
        nextCarried: (given) => {
          carried = given;
        },
        nextNotan: (given) => {
          notan = given;
        },
        nextPainting: (given) => {
          painting = given;
        },
        nextDab: (given) => {
          dab = given;
        },
        async send(student, shade, exercise = exerciseId) {
          const file = path.join(house.files.incoming, `test-${newId()}`);
          await sharp({ create: { width: 8, height: 8, channels: 3, background: { r: shade, g: shade, b: shade } } })
            .jpeg()
            .toFile(file);
          try {
            return (await receivePhoto(house, student, exercise, file)).attemptId;
          } finally {
            await rm(file, { force: true });
          }
        },
      };
    },
    async close() {
      await house.close();
      await rm(folder, { recursive: true, force: true });
    },
  };
}

/** The house that all files of a process share. */
let shared: Promise<TestHouse> | null = null;
// It would hold a process that nobody gives a file any more.
process.once('disconnect', () => process.exit());

/** Gives each test of a file a studio of its own, in a house that they share with the tests of other files. */
export function eachInNewStudio(enter: (studio: TestStudio) => void): void {
  beforeEach(async () => {
    shared ??= openTestHouse();
    enter(await (await shared).openStudio());
  });
}

/** The same in a house that no other file has ever been in: for tests that look into every corner of it. */
export function eachInOwnHouse(enter: (studio: TestStudio) => void): void {
  let home: TestHouse;
  beforeAll(async () => {
    home = await openTestHouse();
  });
  afterAll(() => home.close());
  beforeEach(async () => enter(await home.openStudio()));
}
