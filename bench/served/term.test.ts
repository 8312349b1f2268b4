/** Pages of a class ask the database as often for ten hand-ins as for four hundred. */
import { handIns } from '@/data/schema/tables';
import { eachInNewStudio, type TestStudio } from '@/studio/test-studio';
import { exerciseInCommon } from '@/studio/views/in-common';
import { notHandedIn, sentBackOf } from '@/studio/views/owed';
import { rackOf } from '@/studio/views/rack';
import { recordOf } from '@/studio/views/record';
import { gradeBook, resultRows } from '@/studio/views/results';
import { heldLetters, sittingAt } from '@/studio/views/sitting';
import { waitingOf } from '@/studio/views/today';
import { eq } from 'drizzle-orm';
import { putTermIn, type Term } from './term';

let studio: TestStudio;
eachInNewStudio((fresh) => {
  studio = fresh;
});

async function timesFor(look: () => Promise<unknown>): Promise<number> {
  const { $client } = studio.house.db as unknown as { $client: { query: (text: unknown) => unknown } };
  const query = jest.spyOn($client, 'query');
  await look();
  // The queue looks after itself now and then.
  const times = query.mock.calls.filter(([text]) => !JSON.stringify(text).includes('pgboss')).length;
  query.mockRestore();
  return times;
}

async function asked(term: Term): Promise<Record<string, number>> {
  const { house, teacher } = studio;
  const { classId, exercises } = await putTermIn(house, teacher.userId, term);
  const exerciseId = exercises.at(-1) ?? '';
  const [handIn] = await house.db.select().from(handIns).where(eq(handIns.exerciseId, exerciseId));
  const looks = {
    rack: () => rackOf(house, teacher, classId),
    waiting: () => waitingOf(house, teacher),
    missing: () => notHandedIn(house, teacher),
    sentBack: () => sentBackOf(house, teacher),
    held: () => heldLetters(house, teacher),
    sitting: () => sittingAt(house, teacher, handIn?.id ?? ''),
    together: () => exerciseInCommon(house, teacher, exerciseId),
    record: () => recordOf(house, teacher, classId, { key: 'error', studentId: null, exerciseId: null }),
    results: () => resultRows(house, teacher, classId),
    grades: () => gradeBook(house, teacher, classId),
  };
  const times: Record<string, number> = {};
  for (const [name, look] of Object.entries(looks)) times[name] = await timesFor(look);
  const rack = await rackOf(house, teacher, classId);
  expect(rack.cells.filter((c) => c.glance !== null)).toHaveLength(term.students * term.exercises);
  return times;
}

test('as many queries for ten hand-ins as for four hundred', async () => {
  const ten = await asked({ students: 5, exercises: 2, tries: 2 });
  for (const times of Object.values(ten)) expect(times).toBeGreaterThan(0);
  expect(await asked({ students: 40, exercises: 10, tries: 1 })).toEqual(ten);
}, 120_000);
