/** Nearly equal hand-ins that are judged differently are told of before the second one is sent. */
import { attemptFor, Refused } from '../access/actor';
import { measureAttempt } from '../hand-in/measuring';
import { eachInNewStudio, resultWith, type TestStudio } from '../test-studio';
import { measuredOfOne } from './measured';
import { alikeOf } from './alike';
import { decide, withdraw } from '../critique/deciding';
import { letterToPrint } from '../critique/letter-to-print';

let studio: TestStudio;
eachInNewStudio((fresh) => (studio = fresh));

async function handedIn(who: 'bea' | 'ruta', shade: number): Promise<string> {
  const id = await studio.send(studio[who], shade);
  await measureAttempt(studio.house, id);
  return id;
}
async function alikeTo(attemptId: string) {
  const { house, teacher, exerciseId } = studio;
  const { attempt, handIn } = await attemptFor(house, teacher, attemptId);
  const asked = { exerciseId, handInId: handIn.id, stage: attempt.stage };
  return (await alikeOf(house, asked, await measuredOfOne(house, attemptId))).map((a) => [a.student, a.verdict]);
}

test('the second of two that are nearly equal is stopped once, with whose it is like, and sent when it is meant', async () => {
  const { house, teacher, bea } = studio;
  const [first, second] = [await handedIn('bea', 10), await handedIn('ruta', 20)];
  expect(await alikeTo(second)).toEqual([]);
  await decide(house, teacher, first, 'pass', { isSure: false });
  expect(await alikeTo(second)).toEqual([[bea.name, 'pass']]);
  await expect(decide(house, teacher, second, 'again', { isSure: false })).rejects.toThrow(Refused);
  await expect(decide(house, teacher, second, 'again', { isSure: false })).rejects.toThrow(bea.name);
  await decide(house, teacher, second, 'again');
});

test('what is judged the same, or only later withdrawn, stops nobody', async () => {
  const { house, teacher } = studio;
  const [first, second] = [await handedIn('bea', 10), await handedIn('ruta', 20)];
  await decide(house, teacher, first, 'pass');
  await decide(house, teacher, second, 'pass', { isSure: false });
  await withdraw(house, teacher, second);
  await withdraw(house, teacher, first);
  await decide(house, teacher, second, 'again', { isSure: false });
});

test('what differs in what was measured may be judged as it likes', async () => {
  const { house, teacher } = studio;
  const first = await handedIn('bea', 10);
  studio.next({
    ...resultWith(true),
    steps: resultWith(true).steps.map((s) => ({ ...s, errorSteps: s.errorSteps + 1 })),
  });
  const second = await handedIn('ruta', 20);
  await decide(house, teacher, first, 'pass');
  expect(await alikeTo(second)).toEqual([]);
  await decide(house, teacher, second, 'again', { isSure: false });
});

test('a letter is printed for its student once it was sent, and for nobody else', async () => {
  const { house, teacher, bea, ruta } = studio;
  const id = await handedIn('bea', 10);
  await expect(letterToPrint(house, bea, id, 'a4')).rejects.toThrow();
  expect(await letterToPrint(house, teacher, id, 'letter')).toMatchObject({
    letters: [{ verdict: '', paper: 'letter' }],
  });
  await decide(house, teacher, id, 'again');
  const job = await letterToPrint(house, bea, id, 'a4');
  expect(job).toMatchObject({ kind: 'letters', letters: [{ student: bea.name, verdict: 'Once more, please.' }] });
  await expect(letterToPrint(house, ruta, id, 'a4')).rejects.toThrow();
});
