/** A second opinion: asked, answered, kept beside the teacher's own word, and seen by nobody else. */
import { newId } from '@/data/schema/ids';
import { opinions } from '@/data/schema/tables';
import { eq } from 'drizzle-orm';
import { NotFound, Refused, type Teacher } from '../access/actor';
import { deleteStudent } from '../class/deleting';
import { measureAttempt } from '../hand-in/measuring';
import { eachInNewStudio, type TestStudio, viewOf } from '../test-studio';
import { opinionsOn } from '../views/opinions';
import { setWord } from './critiquing';
import { decide } from './deciding';
import {
  answersToTeacher,
  askedOfTeacher,
  askOpinion,
  giveOpinion,
  lookAtAsked,
  pictureOfAsked,
  takeQuestionBack,
} from './opinions';

let studio: TestStudio;
let corin: Teacher;
eachInNewStudio((fresh) => (studio = fresh));
beforeEach(async () => {
  const email = `${newId()}@tidewell.example`;
  const userId = await studio.house.auth.createTeacher('Corin Maddery', email, 'mortar-and-madder');
  corin = { role: 'teacher', standing: 'teacher', userId, name: 'Corin Maddery' };
});

async function measured(): Promise<string> {
  const id = await studio.send(studio.bea, 10);
  await measureAttempt(studio.house, id);
  return id;
}
async function asked(hidesName = true) {
  const { house, teacher } = studio;
  const attemptId = await measured();
  await askOpinion(house, teacher, attemptId, { of: corin.userId, hidesName, question: 'Too harsh?' });
  const [own] = await askedOfTeacher(house, corin);
  return { attemptId, id: own?.id ?? '' };
}

test('whoever is asked sees picture and draft, and not whose it is where that is hidden', async () => {
  const { house } = studio;
  const { id } = await asked();
  const seen = await lookAtAsked(house, corin, id);
  expect(seen).toMatchObject({ student: null, asker: 'Hesper Dunnock', question: 'Too harsh?', isSent: false });
  expect(seen.items.length).toBeGreaterThan(0);
  expect(JSON.stringify(seen)).not.toContain('Bea');
  expect(await pictureOfAsked(house, corin, id)).not.toBeNull();
  expect((await lookAtAsked(house, corin, (await askedAnew(false)).id)).student).toBe('Bea Lindqvarn');
});
const askedAnew = async (hidesName: boolean) => {
  const { house, teacher } = studio;
  const attemptId = await studio.send(studio.bea, 40);
  await measureAttempt(house, attemptId);
  await askOpinion(house, teacher, attemptId, { of: corin.userId, hidesName, question: '' });
  const all = await askedOfTeacher(house, corin);
  return { attemptId, id: all.at(-1)?.id ?? '' };
};

test('both words are kept, and the teacher who asked decides', async () => {
  const { house, teacher } = studio;
  const { attemptId, id } = await asked();
  await giveOpinion(house, corin, id, { word: 'The darks hold. I would let it pass.', verdict: 'pass' });
  expect(await askedOfTeacher(house, corin)).toEqual([]);
  expect(await answersToTeacher(house, teacher)).toMatchObject([{ by: 'Corin Maddery', student: 'Bea Lindqvarn' }]);
  await setWord(house, teacher, attemptId, 'Once more, for the edges.', null);
  await decide(house, teacher, attemptId, 'again');
  expect(await opinionsOn(house, attemptId)).toMatchObject([
    { word: expect.stringContaining('hold') as string, verdict: 'pass' },
  ]);
  expect((await viewOf(studio, attemptId))?.critique?.word).toBe('Once more, for the edges.');
  await expect(giveOpinion(house, corin, id, { word: 'Or not.', verdict: null })).rejects.toThrow(Refused);
  expect(await answersToTeacher(house, teacher)).toEqual([]);
});

test('nobody else sees it, answers for them, or asks about what is not theirs', async () => {
  const { house, teacher } = studio;
  const { attemptId, id } = await asked();
  await expect(lookAtAsked(house, teacher, id)).rejects.toThrow(NotFound);
  await expect(giveOpinion(house, teacher, id, { word: 'Mine.', verdict: null })).rejects.toThrow(NotFound);
  await expect(pictureOfAsked(house, { ...corin, userId: 'third' }, id)).rejects.toThrow(NotFound);
  const question = { of: teacher.userId, hidesName: true, question: '' };
  await expect(askOpinion(house, corin, attemptId, question)).rejects.toThrow(NotFound);
  await expect(askOpinion(house, teacher, attemptId, { ...question, of: studio.bea.userId })).rejects.toThrow(NotFound);
});

test('they are asked once, and a question that nobody answered is taken back', async () => {
  const { house, teacher } = studio;
  const { attemptId, id } = await asked();
  const again = { of: corin.userId, hidesName: false, question: 'Again?' };
  await expect(askOpinion(house, teacher, attemptId, again)).rejects.toThrow('already');
  await takeQuestionBack(house, teacher, attemptId, id);
  await expect(lookAtAsked(house, corin, id)).rejects.toThrow(NotFound);
  await askOpinion(house, teacher, attemptId, again);
  const [next] = await askedOfTeacher(house, corin);
  await giveOpinion(house, corin, next?.id ?? '', { word: 'Fine.', verdict: null });
  await expect(takeQuestionBack(house, teacher, attemptId, next?.id ?? '')).rejects.toThrow(NotFound);
});

test('it goes with its student', async () => {
  const { house, teacher, bea } = studio;
  const { attemptId } = await asked();
  await deleteStudent(house, teacher, bea.studentId);
  expect(await house.db.$count(opinions, eq(opinions.attemptId, attemptId))).toBe(0);
});
