/** Changes of state, all of them: those that are in the table happen, and no others. */
import { ATTEMPT_STATES, attempts, HAND_IN_STATES, handIns } from '@/data/schema/tables';
import { eq } from 'drizzle-orm';
import { eachInNewStudio, type TestStudio } from '../test-studio';
import {
  ATTEMPT_CHANGES,
  type AttemptChange,
  changeAttempt,
  changeHandIn,
  HAND_IN_CHANGES,
  type HandInChange,
} from './states';

let studio: TestStudio;
eachInNewStudio((fresh) => {
  studio = fresh;
});

async function handedIn() {
  const id = await studio.send(studio.bea, 10);
  const [row] = await studio.house.db.select().from(attempts).where(eq(attempts.id, id));
  return { id, handInId: row?.handInId ?? '' };
}

test('an attempt changes from the states that a change is for, and from no other', async () => {
  const { db } = studio.house;
  const { id } = await handedIn();
  const changed: string[] = [];
  for (const change of Object.keys(ATTEMPT_CHANGES) as AttemptChange[])
    for (const state of ATTEMPT_STATES) {
      await db.update(attempts).set({ state }).where(eq(attempts.id, id));
      if (await changeAttempt(db, id, change)) changed.push(`${state} ${change}`);
    }
  expect(changed).toEqual([
    ...['received begin', 'queued begin', 'measuring begin'],
    ...['received handBack', 'queued handBack', 'measuring handBack'],
    ...['measuring measure', 'measuring refuse'],
    ...['received fail', 'queued fail', 'measuring fail'],
    ...['received cancel', 'queued cancel', 'measuring cancel'],
    ...['failed tryAgain', 'cancelled tryAgain', 'measured measureAnew'],
  ]);
});

test('a hand-in that is passed is opened by its teacher alone', async () => {
  const { db } = studio.house;
  const { handInId } = await handedIn();
  const changed: string[] = [];
  for (const change of Object.keys(HAND_IN_CHANGES) as HandInChange[])
    for (const state of HAND_IN_STATES) {
      await db.update(handIns).set({ state }).where(eq(handIns.id, handInId));
      if (await changeHandIn(db, handInId, change)) changed.push(`${state} ${change}`);
    }
  expect(changed).toEqual([
    ...['open wait', 'waiting wait', 'held wait', 'again wait', 'waiting hold'],
    ...['waiting pass', 'held pass', 'waiting again', 'held again'],
    ...['held withdraw', 'again withdraw', 'passed withdraw', 'again fetchBack', 'passed fetchBack'],
  ]);
});

test('the database itself holds no state that there is not, and no number twice', async () => {
  const { db } = studio.house;
  const { id, handInId } = await handedIn();
  await expect(
    db
      .update(attempts)
      .set({ state: 'lost' as 'failed' })
      .where(eq(attempts.id, id)),
  ).rejects.toThrow();
  await expect(
    db
      .update(handIns)
      .set({ state: 'lost' as 'open' })
      .where(eq(handIns.id, handInId)),
  ).rejects.toThrow();
  const second = await studio.send(studio.bea, 20);
  await db.update(attempts).set({ number: 1 }).where(eq(attempts.id, id));
  await expect(db.update(attempts).set({ number: 1 }).where(eq(attempts.id, second))).rejects.toThrow();
});
