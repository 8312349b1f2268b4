/** A class that several teach: what each sees, what an assistant may not do, and what is written down of it. */
import { newId } from '@/data/schema/ids';
import { chronicle, students, user } from '@/data/schema/tables';
import { eq } from 'drizzle-orm';
import { actorOf, attemptFor, exerciseFor, handInFor, type Student, type Teacher } from '../access/actor';
import { deleteClass, deleteStudent } from '../class/deleting';
import { addStudent, createClass, reissueCode } from '../class/people';
import { bringAlong, studentsElsewhere } from '../class/several';
import { decide, sendHeld, withdraw } from '../critique/deciding';
import { setWord } from '../critique/critiquing';
import { answerReply } from '../critique/replies';
import { holdLetters, holdsLetters, sitDownAt } from '../critique/sitting';
import { measureAttempt } from '../hand-in/measuring';
import { setExercise } from '../plan/exercises';
import { eachInNewStudio, type TestStudio } from '../test-studio';
import { heldLetters } from '../views/sitting';
import { myWork } from '../views/my-work';
import { waitingOf } from '../views/today';
import { CHRONICLE_DAYS, chronicleOf, forgetOldChronicle } from './chronicle';
import { resetPassword, setStanding } from './colleagues';
import { shareClass, sharingOf, unshareClass } from './sharing';

let studio: TestStudio;
eachInNewStudio((fresh) => (studio = fresh));

async function colleague(standing: Teacher['standing'] = 'teacher'): Promise<Teacher> {
  const { house } = studio;
  const userId = await house.auth.createTeacher(
    'Corin Maddery',
    `${newId()}@tidewell.example`,
    'mortar-and-madder',
    standing,
  );
  return { role: 'teacher', standing, userId, name: 'Corin Maddery' };
}

/** One that waits to be decided about. */
async function waiting(student: Student = studio.bea, shade = 90): Promise<string> {
  const attemptId = await studio.send(student, shade);
  await measureAttempt(studio.house, attemptId);
  return attemptId;
}
const handInOf = async (attemptId: string) => (await attemptFor(studio.house, studio.teacher, attemptId)).handIn.id;
const did = async () =>
  (await chronicleOf(studio.house, studio.teacher, studio.classId)).rows.map((r) => `${r.who}: ${r.did}`);

test('a class is nobody else’s until it is shared, and nobody’s again afterwards', async () => {
  const { house, teacher, classId, exerciseId } = studio;
  const corin = await colleague();
  const attemptId = await waiting();
  await expect(exerciseFor(house, corin, exerciseId)).rejects.toThrow();
  await shareClass(house, teacher, classId, corin.userId);
  expect((await exerciseFor(house, corin, exerciseId)).class.id).toBe(classId);
  expect((await waitingOf(house, corin)).total).toBe(1);
  expect((await sharingOf(house, corin, classId)).isOwn).toBe(false);
  await expect(shareClass(house, corin, classId, teacher.userId)).rejects.toThrow('Whoever made this class');
  await expect(deleteClass(house, corin, classId, 'Tidewell Evening Studio')).rejects.toThrow(
    'Whoever made this class',
  );
  await unshareClass(house, teacher, classId, corin.userId);
  await expect(handInFor(house, corin, await handInOf(attemptId))).rejects.toThrow();
  expect((await waitingOf(house, corin)).total).toBe(0);
});

test('an assistant looks, drafts and decides for later, and sends or changes nothing', async () => {
  const { house, teacher, classId, bea } = studio;
  const odo = await colleague('assistant');
  await shareClass(house, teacher, classId, odo.userId);
  const attemptId = await waiting();
  await setWord(house, odo, attemptId, 'A calm row of greys.', 0);
  const forbidden = [
    () => decide(house, odo, attemptId, 'pass'),
    () => holdLetters(house, odo, false),
    () => addStudent(house, odo, classId, 'Ivo Sallow'),
    () => reissueCode(house, odo, bea.studentId),
    () => deleteStudent(house, odo, bea.studentId),
    () => createClass(house, odo, 'A class of my own', 'white-is-one'),
    () => answerReply(house, odo, attemptId, 'Yes.'),
  ];
  for (const work of forbidden) await expect(work()).rejects.toThrow('You look at hand-ins and draft here');
  expect(await holdsLetters(house, odo)).toBe(true);
  await decide(house, odo, attemptId, 'pass', { holds: true });
  await expect(sendHeld(house, odo, attemptId)).rejects.toThrow('draft here');
  // Whoever teaches sees who decided, and sends it.
  expect(await heldLetters(house, teacher)).toMatchObject([{ by: 'Corin Maddery', verdict: 'pass' }]);
  await sendHeld(house, teacher, attemptId);
  await expect(withdraw(house, odo, attemptId)).rejects.toThrow('draft here');
});

test('of two who decide in the same second one holds, and the other is told', async () => {
  const { house, teacher, classId } = studio;
  const corin = await colleague();
  await shareClass(house, teacher, classId, corin.userId);
  for (const [shade, other] of [
    [91, 'again'],
    [92, 'pass'],
  ] as const) {
    const attemptId = await waiting(shade === 91 ? studio.bea : studio.ruta, shade);
    const both = await Promise.allSettled([
      decide(house, teacher, attemptId, 'pass'),
      decide(house, corin, attemptId, other),
    ]);
    expect(both.map((b) => b.status).sort()).toEqual(['fulfilled', 'rejected']);
    const told = both.find((b) => b.status === 'rejected') as PromiseRejectedResult;
    expect(String(told.reason)).toMatch(/has decided this already/);
  }
});

test('what was looked at, drafted, decided and sent is written down, and forgotten when its time is over', async () => {
  const { house, teacher, classId } = studio;
  const attemptId = await waiting();
  const handInId = await handInOf(attemptId);
  await sitDownAt(house, teacher, handInId);
  await sitDownAt(house, teacher, handInId);
  await setWord(house, teacher, attemptId, 'Well seen.', 0);
  await decide(house, teacher, attemptId, 'pass');
  const told = await did();
  expect(told.filter((d) => d.endsWith(': looked'))).toHaveLength(1);
  for (const what of ['drafted', 'decided', 'sent', 'enrolled', 'set-exercise'])
    expect(told).toContain(`Hesper Dunnock: ${what}`);
  const assistant = await colleague('assistant');
  await shareClass(house, teacher, classId, assistant.userId);
  await expect(chronicleOf(house, assistant, classId)).rejects.toThrow();
  await forgetOldChronicle(house, new Date(Date.now() + (CHRONICLE_DAYS + 1) * 86_400_000));
  expect(await house.db.$count(chronicle)).toBe(0);
});

test('a student in two classes signs in once, finds both, and stays where one of them ends', async () => {
  const { house, teacher, classId, bea, ruta, codes } = studio;
  const second = await createClass(house, teacher, 'Saturday painters', 'white-is-one');
  const set = { title: 'Four greys', note: '', dueAt: null };
  const { terms } = (await exerciseFor(house, teacher, studio.exerciseId)).exercise;
  const exerciseId = await setExercise(house, teacher, second, { ...set, terms });
  expect((await studentsElsewhere(house, teacher, second)).map((s) => s.name)).toContain('Bea Lindqvarn');
  await bringAlong(house, teacher, second, bea.studentId);
  await expect(bringAlong(house, teacher, second, bea.studentId)).rejects.toThrow('already');

  const signedIn = await house.auth.signInStudent(codes.class, codes.bea);
  const { name, value } = await house.auth.cookie(signedIn?.token ?? '');
  const headers = new Headers({ cookie: `${name}=${encodeURIComponent(value)}` });
  const me = (await actorOf(house, headers)) as Student;
  expect((await myWork(house, me)).map((g) => g.name)).toEqual(['Tidewell Evening Studio', 'Saturday painters']);
  // What is handed in there is of the class that it was set to.
  const attemptId = await studio.send(me, 77, exerciseId);
  const own = await attemptFor(house, me, attemptId);
  expect([own.class.id, own.student.classId]).toEqual([second, second]);
  await expect(attemptFor(house, ruta, attemptId)).rejects.toThrow();

  await deleteClass(house, teacher, second, 'Saturday painters');
  expect(((await actorOf(house, headers)) as Student).classId).toBe(classId);
  await deleteStudent(house, teacher, bea.studentId);
  expect(await actorOf(house, headers)).toBeNull();
  expect(await house.db.$count(students, eq(students.userId, bea.userId))).toBe(0);
  expect(await house.db.$count(user, eq(user.id, bea.userId))).toBe(0);
});

test('the owner alone says what others may do, and gives a new password', async () => {
  const { house, teacher } = studio;
  const owner: Teacher = { ...teacher, standing: 'owner' };
  const corin = await colleague();
  await expect(setStanding(house, corin, teacher.userId, 'assistant')).rejects.toThrow('Only whoever began');
  await expect(resetPassword(house, teacher, corin.userId)).rejects.toThrow('Only whoever began');
  await setStanding(house, owner, corin.userId, 'assistant');
  await expect(setStanding(house, owner, teacher.userId, 'assistant')).rejects.toThrow();
  const [row] = await house.db.select().from(user).where(eq(user.id, corin.userId));
  expect(row?.standing).toBe('assistant');
  const password = await resetPassword(house, owner, corin.userId);
  expect(await house.auth.signInTeacher(row?.email ?? '', 'mortar-and-madder')).toBeNull();
  expect(await house.auth.signInTeacher(row?.email ?? '', password)).not.toBeNull();
});
