/** Words of a teacher's own, offered where the same is to be said again. */
import { measureAttempt } from '../hand-in/measuring';
import { eachInNewStudio, type TestStudio } from '../test-studio';
import { editItem } from './critiquing';
import { phrasesOf } from './phrases';

let studio: TestStudio;
eachInNewStudio((fresh) => (studio = fresh));

const STREAKY = 'streaky steps 3';

/** Says something in the teacher's own words of a new hand-in. */
async function saidOnce(shade: number, edit: Parameters<typeof editItem>[4]): Promise<void> {
  const id = await studio.send(studio.bea, shade);
  await measureAttempt(studio.house, id);
  await editItem(studio.house, studio.teacher, id, STREAKY, edit, null);
}

test('what was said before is offered for the same code, the newest first, each once', async () => {
  const { house, teacher } = studio;
  await saidOnce(10, { say: 'Three is streaked.', action: 'Stir it longer.' });
  await saidOnce(20, { say: 'Your third is marbled.' });
  await saidOnce(30, { say: 'Three is streaked.' });
  await saidOnce(40, { dropped: true });
  expect(await phrasesOf(house, teacher, ['streaky', 'too_close'])).toEqual({
    streaky: { say: ['Three is streaked.', 'Your third is marbled.'], action: ['Stir it longer.'] },
  });
  expect(await phrasesOf(house, teacher, [])).toEqual({});
});

test('nobody is offered another’s words', async () => {
  await saidOnce(10, { say: 'Three is streaked.' });
  expect(await phrasesOf(studio.house, { ...studio.teacher, userId: 'somebody-else' }, ['streaky'])).toEqual({});
});

test('no more than a few are offered', async () => {
  for (let k = 0; k < 6; k++) await saidOnce(10 + 5 * k, { say: `Word ${k}` });
  expect((await phrasesOf(studio.house, studio.teacher, ['streaky']))['streaky']?.say).toEqual([
    'Word 5',
    'Word 4',
    'Word 3',
    'Word 2',
  ]);
});
