/** What a student says to a letter, and who sees it. */
import { NotFound, Refused } from '../access/actor';
import { measureAttempt } from '../hand-in/measuring';
import { eachInNewStudio, saidOf, type TestStudio } from '../test-studio';
import { myExercise } from '../views/my-work';
import { decide, withdraw } from './deciding';
import { answerReply, repliesTo, replyTo } from './replies';

let studio: TestStudio;
eachInNewStudio((fresh) => (studio = fresh));

async function sent(): Promise<string> {
  const id = await studio.send(studio.bea, 10);
  await measureAttempt(studio.house, id);
  await decide(studio.house, studio.teacher, id, 'again');
  return id;
}
const question = { about: null, text: 'Which black did you mean?' };
const replyOf = async () => {
  const seen = await myExercise(studio.house, studio.bea, studio.exerciseId);
  return seen.attempts[0]?.letter?.reply;
};

test('a question comes to the teacher’s Today, is answered, and the answer stands in the letter', async () => {
  const { house, teacher, bea } = studio;
  const id = await sent();
  await replyTo(house, bea, id, { ...question, text: 'Which?' });
  await replyTo(house, bea, id, question);
  expect(await repliesTo(house, teacher)).toMatchObject([
    { attemptId: id, student: bea.name, text: question.text, isQuestion: true },
  ]);
  await answerReply(house, teacher, id, 'The one we mixed.');
  expect(await repliesTo(house, teacher)).toEqual([]);
  expect(await replyOf()).toMatchObject({ ...question, answer: 'The one we mixed.' });
  await expect(replyTo(house, bea, id, question)).rejects.toThrow(Refused);
});

test('a remark is answered by its key; one that was never made is not there', async () => {
  const { house, teacher, bea } = studio;
  const id = await sent();
  const [first] = (await saidOf(studio, id)).map((item) => item.original.key);
  await replyTo(house, bea, id, { about: first ?? '', text: 'I used the old brush.' });
  expect(await repliesTo(house, teacher)).toMatchObject([{ isQuestion: false }]);
  await expect(replyTo(house, bea, id, { about: 'never_said', text: 'x' })).rejects.toThrow(NotFound);
  await expect(replyTo(house, bea, id, { about: null, text: ' ' })).rejects.toThrow(Refused);
});

test('nobody answers a draft, or another’s letter, and nobody else reads it', async () => {
  const { house, teacher, bea, ruta } = studio;
  const id = await sent();
  await expect(replyTo(house, ruta, id, question)).rejects.toThrow(NotFound);
  await replyTo(house, bea, id, question);
  const other = { ...teacher, userId: 'other' };
  expect(await repliesTo(house, other)).toEqual([]);
  await expect(answerReply(house, other, id, 'Mine.')).rejects.toThrow(NotFound);
  await withdraw(house, teacher, id);
  await expect(replyTo(house, bea, id, question)).rejects.toThrow(NotFound);
  // What was written is kept, and stands below the letter when it is sent once more.
  await decide(house, teacher, id, 'pass');
  expect(await replyOf()).toMatchObject(question);
});
