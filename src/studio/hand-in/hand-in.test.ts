import { defaultScale } from '@/core/exercise/scale';
import { attempts, decisions, handIns } from '@/data/schema/tables';
import { log } from '@/watch/log';
import { TaskCancelled, TaskTimedOut } from '@/workers/pool';
import { eq } from 'drizzle-orm';
import { editItem, setWord } from '../critique/critiquing';
import { decide, withdraw } from '../critique/deciding';
import { setExercise } from '../plan/exercises';
import { eachInNewStudio, resultWith, saidOf, type TestStudio } from '../test-studio';
import { myExercise } from '../views/my-work';
import { rackOf } from '../views/rack';
import { tableOf } from '../views/table';
import { waitingOf } from '../views/today';
import { measureAttempt } from './measuring';
import { cancel, lookAnyway, tryAgain } from './receive';

let studio: TestStudio;
eachInNewStudio((fresh) => {
  studio = fresh;
});

async function stateOf(attemptId: string) {
  const [row] = await studio.house.db
    .select()
    .from(attempts)
    .innerJoin(handIns, eq(attempts.handInId, handIns.id))
    .where(eq(attempts.id, attemptId));
  return {
    attempt: row?.attempts.state,
    number: row?.attempts.number,
    handIn: row?.hand_ins.state,
    handInId: row?.hand_ins.id ?? '',
  };
}

async function measured(shade: number): Promise<string> {
  const id = await studio.send(studio.bea, shade);
  await measureAttempt(studio.house, id);
  return id;
}

test('a photograph that will do is measured, counted, and waits for the teacher', async () => {
  const id = await studio.send(studio.bea, 10);
  expect(await stateOf(id)).toMatchObject({ attempt: 'queued', number: null, handIn: 'open' });
  await measureAttempt(studio.house, id);
  expect(await stateOf(id)).toMatchObject({ attempt: 'measured', number: 1, handIn: 'waiting' });
  expect((await waitingOf(studio.house, studio.teacher)).total).toBe(1);
});

test('the same file again is the same attempt', async () => {
  const first = await measured(10);
  expect(await studio.send(studio.bea, 10)).toBe(first);
  expect(await studio.send(studio.ruta, 10)).not.toBe(first);
});

test('a refused photograph takes no number, and can be sent on with a word', async () => {
  studio.next(resultWith(false));
  const refused = await measured(10);
  expect(await stateOf(refused)).toMatchObject({ attempt: 'refused', number: null, handIn: 'open' });
  await lookAnyway(studio.house, studio.bea, refused, 'The lamp is all I have.');
  expect(await stateOf(refused)).toMatchObject({ attempt: 'refused', number: null, handIn: 'waiting' });
  studio.next(resultWith(true));
  expect(await stateOf(await measured(20))).toMatchObject({ attempt: 'measured', number: 1 });
});

test('a failed measurement says so, keeps the picture and can be tried again', async () => {
  const quiet = jest.spyOn(log, 'error').mockReturnValue(undefined);
  studio.next(new TaskTimedOut('late'));
  const id = await measured(10);
  quiet.mockRestore();
  const view = await myExercise(studio.house, studio.bea, studio.exerciseId);
  expect(view.attempts[0]).toMatchObject({ state: 'failed', trouble: expect.stringContaining('30 seconds') as string });
  studio.next(resultWith(true));
  await tryAgain(studio.house, studio.bea, id);
  await measureAttempt(studio.house, id);
  expect(await stateOf(id)).toMatchObject({ attempt: 'measured', number: 1 });
});

test('cancelling ends the measurement under way', async () => {
  const id = await studio.send(studio.bea, 10);
  let begun: () => void = () => undefined;
  const running = new Promise<void>((resolve) => (begun = resolve));
  studio.next(
    (signal) =>
      new Promise((_, reject) => {
        signal?.addEventListener('abort', () => reject(new TaskCancelled('cancelled')));
        begun();
      }),
  );
  const measuring = measureAttempt(studio.house, id);
  await running;
  await cancel(studio.house, studio.bea, id);
  await measuring;
  expect((await stateOf(id)).attempt).toBe('cancelled');
});

test('a passed exercise stays so: nothing that its student still holds opens it again', async () => {
  studio.next(resultWith(false));
  const refused = await measured(10);
  studio.next(resultWith(true));
  const stopped = await studio.send(studio.bea, 20);
  await cancel(studio.house, studio.bea, stopped);
  await decide(studio.house, studio.teacher, await measured(30), 'pass');
  await expect(lookAnyway(studio.house, studio.bea, refused, 'Please.')).rejects.toThrow('passed');
  await expect(tryAgain(studio.house, studio.bea, stopped)).rejects.toThrow('passed');
  expect((await stateOf(refused)).handIn).toBe('passed');
});

/** Key of the one finding that is to be mended. */
const STREAKY = 'streaky steps 3';

test('before the decision a student sees no reading and no draft; after it, the letter as the teacher left it', async () => {
  const id = await measured(10);
  await editItem(studio.house, studio.teacher, id, STREAKY, { say: 'Three is streaked.' }, null);
  await setWord(studio.house, studio.teacher, id, 'Nearly there.', null);
  const before = await myExercise(studio.house, studio.bea, studio.exerciseId);
  expect(before.attempts[0]?.letter).toBeNull();
  expect(JSON.stringify(before)).not.toContain('streak');
  await decide(studio.house, studio.teacher, id, 'again');
  const after = await myExercise(studio.house, studio.bea, studio.exerciseId);
  expect(after.attempts[0]?.letter).toMatchObject({
    verdict: 'again',
    word: 'Nearly there.',
  });
  const said = after.attempts[0]?.letter?.items ?? [];
  expect(said.at(0)).toMatchObject({ key: 'works_even', kind: 'works' });
  expect(said.at(-1)).toMatchObject({
    say: 'Three is streaked.',
    action: expect.stringMatching(/^Stir the mix/) as string,
  });
});

test('an edit keeps the original beside it, and sending freezes the words', async () => {
  const id = await measured(10);
  await editItem(studio.house, studio.teacher, id, STREAKY, { say: 'Three is streaked.', dropped: true }, null);
  const item = (await saidOf(studio, id)).find((i) => i.original.key === STREAKY);
  expect(item).toMatchObject({ say: 'Three is streaked.', dropped: true, original: { code: 'streaky' } });
  expect(item?.original.say).toMatch(/^Step 3 is streaky/);
  await decide(studio.house, studio.teacher, id, 'again');
  await expect(editItem(studio.house, studio.teacher, id, STREAKY, { dropped: false }, null)).rejects.toThrow(
    'stands as it is',
  );
});

test('a decision can be withdrawn until the next attempt, and each is a row', async () => {
  const id = await measured(10);
  await decide(studio.house, studio.teacher, id, 'pass');
  await decide(studio.house, studio.teacher, id, 'pass');
  expect((await stateOf(id)).handIn).toBe('passed');
  await expect(decide(studio.house, studio.teacher, id, 'again')).rejects.toThrow('Withdraw');
  await withdraw(studio.house, studio.teacher, id);
  await decide(studio.house, studio.teacher, id, 'again');
  expect(await studio.house.db.select().from(decisions).where(eq(decisions.attemptId, id))).toHaveLength(2);
  const second = await measured(20);
  expect(await stateOf(second)).toMatchObject({ number: 2, handIn: 'waiting' });
  await expect(withdraw(studio.house, studio.teacher, id)).rejects.toThrow('handed in again');
});

test('a newer photograph is the one to decide on', async () => {
  const first = await measured(10);
  const second = await studio.send(studio.bea, 20);
  await expect(decide(studio.house, studio.teacher, first, 'pass')).rejects.toThrow('being measured');
  await measureAttempt(studio.house, second);
  await expect(decide(studio.house, studio.teacher, first, 'pass')).rejects.toThrow('newer photograph came in');
  await decide(studio.house, studio.teacher, second, 'pass');
  await expect(studio.send(studio.bea, 30)).rejects.toThrow('passed');
});

test('Rack, Today and Table ask the database as often for one hand-in as for many', async () => {
  const { house, teacher, classId } = studio;
  const timesFor = async (look: () => Promise<unknown>) => {
    const { $client } = house.db as unknown as { $client: { query: (text: unknown) => unknown } };
    const query = jest.spyOn($client, 'query');
    await look();
    // The queue looks after itself now and then.
    const times = query.mock.calls.filter(([text]) => !JSON.stringify(text).includes('pgboss')).length;
    query.mockRestore();
    return times;
  };
  const { handInId } = await stateOf(await measured(10));
  const asked = async () => [
    await timesFor(() => rackOf(house, teacher, classId)),
    await timesFor(() => waitingOf(house, teacher)),
    await timesFor(() => tableOf(house, teacher, handInId)),
  ];
  const one = await asked();
  const ids = await Promise.all(
    [5, 7].map((steps) =>
      setExercise(house, teacher, classId, {
        title: `${steps} greys`,
        note: '',
        dueAt: null,
        terms: defaultScale('gouache', steps),
      }),
    ),
  );
  for (const [i, student] of [studio.bea, studio.ruta].entries())
    for (const [k, id] of [...ids, studio.exerciseId].entries())
      await measureAttempt(house, await studio.send(student, 60 + 3 * i + k, id));
  expect((await rackOf(house, teacher, classId)).cells).toHaveLength(6);
  expect((await waitingOf(house, teacher)).first).toHaveLength(6);
  for (const times of one) expect(times).toBeGreaterThan(0);
  expect(await asked()).toEqual(one);
});

test('the rack and the table show the hand-in', async () => {
  const id = await measured(10);
  const { handInId } = await stateOf(id);
  const rack = await rackOf(studio.house, studio.teacher, studio.classId);
  expect(rack.students.map((s) => s.name)).toEqual(['Bea Lindqvarn', 'Ruta Vane']);
  expect(rack.cells.map((c) => c.glance)).toMatchObject([
    { handInId, state: 'waiting', attempt: 1, refused: false },
    null,
  ]);
  const table = await tableOf(studio.house, studio.teacher, handInId);
  expect(table).toMatchObject({ currentId: id, position: 1, total: 1, previous: null, next: null });
});
