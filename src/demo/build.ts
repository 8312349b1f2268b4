/** Builds the sample world: sheets printed, painted and photographed by the devices, measured by the real code. */
import { defaultScale } from '@/core/exercise/scale';
import { defaultTerms, exerciseLayout } from '@/core/kinds/table';
import { newId } from '@/data/schema/ids';
import { students, user } from '@/data/schema/tables';
import { planFor } from '@/devices/paint-conditions';
import { attemptFor, exerciseFor, type Student, type Teacher } from '@/studio/access/actor';
import { addStudent, createClass, createFirstTeacher } from '@/studio/class/people';
import { setWord } from '@/studio/critique/critiquing';
import { decide } from '@/studio/critique/deciding';
import { measureAttempt } from '@/studio/hand-in/measuring';
import { receivePhoto } from '@/studio/hand-in/receive';
import type { House } from '@/studio/house';
import { setExercise, sheetOf } from '@/studio/plan/exercises';
import { setMeetings } from '@/studio/plan/timetables';
import { attemptsAt, currentOf } from '@/studio/views/attempt';
import { eq } from 'drizzle-orm';
import { rm, writeFile } from 'node:fs/promises';
import path from 'node:path';
import { fromLifeHandIns, setFromLife } from './from-life';
import { otherKinds, setOthers } from './kinds';
import { learnPaints, walkToStep } from './mixing';
import { notanHandIns, setNotans, setReferences } from './notan';
import { copiesInColour } from './copies';
import { giveBack } from './given-back';
import { JUG_IN_GREYS, monochromePaintings, rescuedPainting, stagedPaintings } from './paintings';
import { keepTheClass } from './of-the-class';
import { askColleague } from './second-opinion';
import { pilePictures, setPileExercise } from './pile';
import { CLASS, type DemoShot, type DemoStudent, STUDENTS, TEACHER } from './world';

const LANES = 2;
/** Which student checks a mix; their sheet is not handed in yet. */
const WALKER = STUDENTS.findIndex((s) => s.shots.length === 0);
const DAY_MS = 24 * 3_600_000;

interface Place {
  readonly house: House;
  readonly teacher: Teacher;
  readonly classId: string;
  readonly exerciseId: string;
}

async function shoot({ house, exerciseId }: Place, student: Student, shot: DemoShot, seed: number): Promise<string> {
  const [row] = await house.db.select().from(students).where(eq(students.id, student.studentId));
  const own = await exerciseFor(house, student, exerciseId);
  const { terms } = own.exercise;
  const layout = exerciseLayout(terms);
  const bytes = await house.pool.run(
    {
      task: 'practice',
      sheet: sheetOf(own, row ?? null),
      layout,
      plan: planFor(shot.paint, layout.cells.length, seed),
      condition: shot.camera,
      seed,
      megapixels: 12,
      orientation: seed % 2 === 0 ? 6 : 1,
      location: true,
    },
    { limitMs: 120_000 },
  );
  const file = path.join(house.files.incoming, `demo-${newId()}`);
  await writeFile(file, bytes);
  try {
    const { attemptId } = await receivePhoto(house, student, exerciseId, file);
    await measureAttempt(house, attemptId);
    return attemptId;
  } finally {
    await rm(file, { force: true });
  }
}

async function handIn(place: Place, who: DemoStudent, student: Student, seed: number): Promise<void> {
  const { house, teacher } = place;
  for (const [i, shot] of who.shots.entries()) {
    const attemptId = await shoot(place, student, shot, seed + 50 * i);
    const last = i === who.shots.length - 1;
    const verdict = last ? who.end : 'again';
    if (verdict === 'waiting') continue;
    const { handIn: row } = await attemptFor(house, teacher, attemptId);
    const current = currentOf(await attemptsAt(house.db, [row.id]));
    if (current?.id !== attemptId) continue;
    const word =
      verdict === 'passed'
        ? 'A calm, even scale. Keep it: you will hold it against your next study.'
        : 'Nearly there. One thing at a time, and bring it next week.';
    await setWord(house, teacher, attemptId, word, null);
    await decide(house, teacher, attemptId, verdict === 'passed' ? 'pass' : 'again');
  }
}

const isoDay = (ahead: number) => new Date(Date.now() + ahead * DAY_MS).toISOString().slice(0, 10);

/** Fills an empty house; `tell` hears what is being done. */
export async function buildSampleWorld(house: House, tell: (line: string) => void): Promise<void> {
  const userId = await createFirstTeacher(house, TEACHER.name, TEACHER.email, TEACHER.password);
  const teacher: Teacher = { role: 'teacher', standing: 'owner', userId, name: TEACHER.name };
  const saturdayId = await createClass(house, teacher, 'Saturday Painters', 'white-is-one');
  const classId = await createClass(house, teacher, CLASS.name, 'white-is-one', CLASS.code);
  tell('the class logs its first mixes');
  const colourId = await learnPaints(house, teacher, classId);
  const others = await setOthers({ house, teacher, classId });
  await setMeetings(house, teacher, classId, {
    weekdays: [4],
    start: '18:30',
    minutes: 120,
    from: isoDay(-21),
    until: isoDay(84),
    timeZone: 'Europe/Lisbon',
    except: [],
  });
  const bandsId = await setExercise(house, teacher, classId, {
    title: 'A lamp in the greenhouse',
    note: 'Seven greys, seven rings. The silhouettes come last, in one black.',
    dueAt: new Date(Date.now() + 9 * DAY_MS),
    terms: defaultTerms('bands'),
  });
  await setExercise(house, teacher, classId, {
    title: 'Watering can under a lamp',
    note: '',
    dueAt: null,
    terms: { ...defaultTerms('monochrome-painting', 'oil'), way: 'staged' },
  });
  tell('six pictures are brought in, one is prepared in both schools of notan');
  const notans = await setNotans({ house, teacher, classId }, await setReferences({ house, teacher, classId }));
  const lifeId = await setFromLife({ house, teacher, classId });
  const pileId = await setPileExercise(house, teacher, classId);
  const exerciseId = await setExercise(house, teacher, classId, {
    title: 'Nine greys from white to black',
    note: 'Mix the two ends first and put them side by side. Black is strong: a pin’s head of it goes a long way.',
    dueAt: new Date(Date.now() + 2 * DAY_MS),
    terms: defaultScale('gouache', 9),
  });
  const place: Place = { house, teacher, classId, exerciseId };
  const queue: (() => Promise<unknown>)[] = [];
  const people: Student[] = [];
  for (const [i, who] of STUDENTS.entries()) {
    const { id } = await addStudent(house, teacher, classId, who.name, who.code);
    const [row] = await house.db
      .select({ userId: students.userId })
      .from(students)
      .innerJoin(user, eq(students.userId, user.id))
      .where(eq(students.id, id));
    const seat = { studentId: id, classId, elsewhere: [] };
    const student: Student = { role: 'student', userId: row?.userId ?? '', ...seat, name: who.name };
    people.push(student);
    if (i === WALKER) queue.push(() => walkToStep(house, student, exerciseId, 7));
    if (who.shots.length > 0)
      queue.push(async () => {
        tell(`${who.name} paints, photographs and hands in`);
        await handIn(place, who, student, 100 + i);
      });
  }
  tell('other kinds come in: bands, one colour, chips, a board, corners marked by hand, strays');
  queue.push(...(await otherKinds({ house, teacher, classId }, others, bandsId, colourId, people)));
  tell('a picture is painted in two tones and in three, each student by a habit of their own');
  queue.push(...notanHandIns({ house, teacher, classId }, notans, people));
  tell('a still life is painted in greys by six students');
  queue.push(...(await monochromePaintings({ house, teacher, classId }, people)));
  tell('two students build it up in oil, stage by stage');
  queue.push(...(await stagedPaintings({ house, teacher, classId }, people.slice(1))));
  tell('an old painting is mended');
  queue.push(await rescuedPainting({ house, teacher, classId }, people[2] as Student, people[6] as Student));
  tell('a picture is copied in colour');
  queue.push(...(await copiesInColour({ house, teacher, classId }, people.slice(3))));
  const [ørla, tam] = people.slice(7) as [Student, Student];
  tell('a set-up is painted from life, from two sides of it');
  queue.push(...fromLifeHandIns({ house, teacher, classId }, lifeId, [ørla, tam]));
  tell('an evening’s pile of fourteen is photographed, to be dropped on the Rack');
  const pile = pilePictures(house, teacher, pileId, people);
  queue.push(...pile.shots);
  await Promise.all(
    Array.from({ length: LANES }, async () => {
      for (let next = queue.shift(); next; next = queue.shift()) await next();
    }),
  );
  await pile.write();
  tell('one painting is marked and given back, and its painter asks something');
  await giveBack({ house, teacher, classId }, people[5] as Student, JUG_IN_GREYS);
  tell('another teacher comes in, is asked about two paintings, and has answered one');
  const [maren, , , pell] = people;
  await askColleague({ house, teacher, classId }, JUG_IN_GREYS, maren?.name ?? '', pell?.name ?? '');
  tell('some are graded, an assistant comes in, the class is told something');
  await keepTheClass({ house, teacher, classId }, people, saturdayId);
}
