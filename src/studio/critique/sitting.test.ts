/** An evening at the Table: decisions that are held, letters that are sent, and taking back whatever was done. */
import { attempts, critiques, decisions, deeds, handIns, opinions, sittings } from '@/data/schema/tables';
import { eq } from 'drizzle-orm';
import { Refused } from '../access/actor';
import { grade, setScheme } from '../grading/grading';
import { measureAttempt } from '../hand-in/measuring';
import { eachInNewStudio, saidOf, takenBack, type TestStudio, viewOf } from '../test-studio';
import { myExercise } from '../views/my-work';
import { gradesOf } from '../views/grading';
import { heldLetters, nextInLine, sittingAt } from '../views/sitting';
import { editItem, setWord } from './critiquing';
import { decide, sendHeld, withdraw } from './deciding';
import { drawMark, takeMarkBack } from './marking';
import { askOpinion } from './opinions';
import { speakTo } from './register';
import { sayOwn } from './remarks';
import { answerReply, repliesTo, replyTo } from './replies';
import { holdLetters, holdsLetters, sitDownAt } from './sitting';
import { lastDeed, takeBack } from './taking-back';

let studio: TestStudio;
eachInNewStudio((fresh) => {
  studio = fresh;
});

async function handedIn(student: 'bea' | 'ruta', shade: number) {
  const id = await studio.send(studio[student], shade);
  await measureAttempt(studio.house, id);
  const [row] = await studio.house.db.select().from(attempts).where(eq(attempts.id, id));
  return { id, handInId: row?.handInId ?? '' };
}

const stateOf = async (handInId: string) =>
  (await studio.house.db.select().from(handIns).where(eq(handIns.id, handInId)))[0]?.state;

const back = () => takenBack(studio);

test('a decision that is held is no news to the student, and can still be edited until its letter is sent', async () => {
  const { house, teacher, bea, exerciseId } = studio;
  const { id, handInId } = await handedIn('bea', 10);
  await decide(house, teacher, id, 'again', { holds: true });
  expect(await stateOf(handInId)).toBe('held');
  const before = await myExercise(house, bea, exerciseId);
  expect(before.state).toBe('waiting');
  expect(before.attempts[0]?.letter).toBeNull();
  expect(JSON.stringify(before)).not.toContain('held');
  await setWord(house, teacher, id, 'Stir it longer.', null);
  expect(await heldLetters(house, teacher)).toMatchObject([{ attemptId: id, student: bea.name, verdict: 'again' }]);
  await sendHeld(house, teacher, id);
  // Once more changes nothing.
  await sendHeld(house, teacher, id);
  const after = await myExercise(house, bea, exerciseId);
  expect(after).toMatchObject({ state: 'again' });
  expect(after.attempts[0]?.letter).toMatchObject({ verdict: 'again', word: 'Stir it longer.' });
  await expect(setWord(house, teacher, id, 'Too late.', null)).rejects.toThrow(Refused);
  expect(await heldLetters(house, teacher)).toEqual([]);
});

test('what a student sends while a decision is held takes it back: it was about another picture', async () => {
  const { house, teacher } = studio;
  const first = await handedIn('bea', 10);
  await decide(house, teacher, first.id, 'pass', { holds: true });
  const second = await handedIn('bea', 40);
  expect(await stateOf(first.handInId)).toBe('waiting');
  await expect(sendHeld(house, teacher, first.id)).rejects.toThrow('sent something new');
  await decide(house, teacher, second.id, 'again', { holds: true });
  await sendHeld(house, teacher, second.id);
  const kept = await house.db.select().from(decisions).where(eq(decisions.handInId, first.handInId));
  expect(kept.map((d) => [d.attemptId === second.id, d.withdrawnAt === null]).sort()).toEqual([
    [false, false],
    [true, true],
  ]);
  // A letter that was sent before stays when the next try comes.
  await handedIn('bea', 60);
  expect((await viewOf(studio, second.id))?.verdict).toBe('again');
});

test('two who decide one hand-in otherwise: one holds, the other is told', async () => {
  const { house, teacher } = studio;
  const { id } = await handedIn('bea', 10);
  const both = await Promise.allSettled([
    decide(house, teacher, id, 'pass', { holds: true }),
    decide(house, teacher, id, 'again', { holds: true }),
  ]);
  expect(both.map((b) => b.status).sort()).toEqual(['fulfilled', 'rejected']);
  expect(String(both.find((b) => b.status === 'rejected')?.reason)).toContain('decided already');
  expect(await house.db.$count(decisions, eq(decisions.attemptId, id))).toBe(1);
});

test('everything done is taken back, the last first, across hand-ins', async () => {
  const { house, teacher } = studio;
  const bea = await handedIn('bea', 10);
  const ruta = await handedIn('ruta', 20);
  await sitDownAt(house, teacher, bea.handInId);
  const [item] = await saidOf(studio, bea.id);
  const key = item?.original.key ?? '';
  await editItem(house, teacher, bea.id, key, { say: 'Look at the third.' }, 0);
  await editItem(house, teacher, bea.id, key, { dropped: true }, 1);
  await setWord(house, teacher, bea.id, 'Well stirred.', 0);
  await sayOwn(house, teacher, bea.id, { kind: 'fix', say: 'Hold the brush flat.', action: '' });
  const pin = { kind: 'pin', on: 'painting', points: [[0.5, 0.5]], about: null, words: 'here' };
  const mark = await drawMark(house, teacher, bea.id, pin);
  await takeMarkBack(house, teacher, bea.id, mark);
  await speakTo(house, teacher, bea.handInId, 'children');
  await decide(house, teacher, bea.id, 'pass', { holds: true });
  await sendHeld(house, teacher, bea.id);
  await decide(house, teacher, ruta.id, 'again', { holds: true });
  await withdraw(house, teacher, ruta.id);

  expect(await back()).toBe('that you withdrew “once more” for Ruta Vane');
  expect(await stateOf(ruta.handInId)).toBe('held');
  expect(await back()).toBe('“once more” for Ruta Vane');
  expect(await stateOf(ruta.handInId)).toBe('waiting');
  expect(await back()).toBe('the letter to Bea Lindqvarn');
  expect(await stateOf(bea.handInId)).toBe('held');
  expect(await back()).toBe('“pass” for Bea Lindqvarn');
  expect(await stateOf(bea.handInId)).toBe('waiting');
  expect(await back()).toContain('written for');
  expect(await back()).toContain('taken off');
  expect((await viewOf(studio, bea.id))?.marks).toHaveLength(1);
  expect(await back()).toContain('the mark on');
  expect((await viewOf(studio, bea.id))?.marks).toHaveLength(0);
  expect(await back()).toBe('your own remark to Bea Lindqvarn');
  expect(await back()).toContain('your own words');
  expect((await viewOf(studio, bea.id))?.critique?.word).toBe('');
  expect(await back()).toContain('dropped');
  expect(await back()).toContain('the change of a remark');
  expect(await back()).toBeNull();
  expect(await saidOf(studio, bea.id)).toEqual([item, ...(await saidOf(studio, bea.id)).slice(1)]);
  const [handIn] = await house.db.select().from(handIns).where(eq(handIns.id, bea.handInId));
  expect(handIn?.register).toBeNull();
});

test('grades, questions to a colleague and answers to a student are taken back too', async () => {
  const { house, teacher, classId, bea } = studio;
  const { id, handInId } = await handedIn('bea', 12);
  await sitDownAt(house, teacher, handInId);
  const by = { kind: 'points' as const, most: 10 };
  const criteria = [{ id: 'even', name: 'Even steps', figure: null, by }];
  await setScheme(house, teacher, classId, { version: 1, shown: false, criteria });
  const given = async () => (await gradesOf(house, [id])).map((g) => g.points);
  await grade(house, teacher, id, 'even', { kind: 'points', points: 6 });
  await grade(house, teacher, id, 'even', { kind: 'points', points: 7 });
  const of = await house.auth.createTeacher('Corin Maddery', `${id}@tidewell.example`, 'mortar-and-madder');
  await askOpinion(house, teacher, id, { of, hidesName: true, question: 'Too harsh?' });
  expect(await back()).toBe('the question to a colleague about Bea Lindqvarn');
  expect(await house.db.$count(opinions, eq(opinions.attemptId, id))).toBe(0);
  expect(await back()).toBe('a grade of Bea Lindqvarn');
  expect(await given()).toEqual([6]);
  expect(await back()).toBe('a grade of Bea Lindqvarn');
  expect(await given()).toEqual([]);

  await decide(house, teacher, id, 'again');
  await replyTo(house, bea, id, { about: null, text: 'Which black?' });
  await answerReply(house, teacher, id, 'The one we mixed.');
  expect(await repliesTo(house, teacher)).toEqual([]);
  expect(await back()).toBe('your answer to Bea Lindqvarn');
  expect(await repliesTo(house, teacher)).toMatchObject([{ text: 'Which black?' }]);
});

test('what somebody wrote since, and a letter that was answered, stay', async () => {
  const { house, teacher, bea } = studio;
  const { id, handInId } = await handedIn('bea', 10);
  await sitDownAt(house, teacher, handInId);
  await setWord(house, teacher, id, 'One.', 0);
  await house.db.update(critiques).set({ word: 'Two.', written: 2 }).where(eq(critiques.attemptId, id));
  await expect(back()).rejects.toThrow('changed once more');
  expect((await viewOf(studio, id))?.critique?.word).toBe('Two.');
  await decide(house, teacher, id, 'again', { holds: true });
  await sendHeld(house, teacher, id);
  await replyTo(house, bea, id, { about: null, text: 'Which white?' });
  await expect(back()).rejects.toThrow('answered this letter');
  expect(await stateOf(handInId)).toBe('again');
});

test('nobody takes back what another did, and nothing from a sitting before', async () => {
  const { house, teacher } = studio;
  const { id, handInId } = await handedIn('bea', 10);
  await sitDownAt(house, teacher, handInId);
  await decide(house, teacher, id, 'pass', { holds: true });
  const last = await lastDeed(house, teacher);
  const stranger = { ...teacher, userId: 'somebody else' };
  await expect(takeBack(house, stranger, last?.id ?? '')).rejects.toThrow();
  expect(await lastDeed(house, stranger)).toBeNull();
  const long = new Date(Date.now() - 5 * 3_600_000);
  await house.db.update(sittings).set({ begunAt: long, lastAt: long }).where(eq(sittings.teacherId, teacher.userId));
  await house.db.update(deeds).set({ createdAt: long }).where(eq(deeds.teacherId, teacher.userId));
  await sitDownAt(house, teacher, handInId);
  expect(await lastDeed(house, teacher)).toBeNull();
});

test('how far the evening has come, what follows, and whether letters are held', async () => {
  const { house, teacher } = studio;
  const bea = await handedIn('bea', 10);
  const ruta = await handedIn('ruta', 20);
  expect(await holdsLetters(house, teacher)).toBe(true);
  await holdLetters(house, teacher, false);
  expect(await holdsLetters(house, teacher)).toBe(false);
  await sitDownAt(house, teacher, bea.handInId);
  expect(await sittingAt(house, teacher, bea.handInId)).toMatchObject({
    ...{ decided: 0, waiting: 2, held: 0, minutes: null, holds: false, last: null },
    next: { handInId: ruta.handInId, pictures: [`/picture/${ruta.id}/strip`] },
  });
  await decide(house, teacher, bea.id, 'pass', { holds: true });
  expect(await sittingAt(house, teacher, ruta.handInId)).toMatchObject({ decided: 1, waiting: 1, held: 1, next: null });
});

test('the line goes on through the exercise and round to its beginning, then through the class, then on', () => {
  const at = (handInId: string, classId: string, exerciseId: string, number: number) => ({
    ...{ handInId, classId, exerciseId, number, student: handInId },
  });
  const line = [
    at('a1', 'A', 'x', 1),
    at('a2', 'A', 'x', 2),
    at('a3', 'A', 'x', 3),
    at('b', 'A', 'y', 1),
    at('c', 'B', 'z', 1),
  ];
  const walked = ['a2'];
  for (let rest = line; ;) {
    const here = line.find((w) => w.handInId === walked.at(-1));
    rest = rest.filter((w) => w.handInId !== here?.handInId);
    const next = here && nextInLine(rest, here);
    if (!next) break;
    walked.push(next.handInId);
  }
  expect(walked).toEqual(['a2', 'a3', 'a1', 'b', 'c']);
});
