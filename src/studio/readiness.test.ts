/** What a studio lacks is told by name, and does not keep anybody waiting. */
import { sql } from 'drizzle-orm';
import { readiness } from './readiness';
import { eachInNewStudio, type TestStudio } from './test-studio';

let studio: TestStudio;
eachInNewStudio((fresh) => {
  studio = fresh;
});
const lacking = async (house: TestStudio['house']) =>
  (await readiness(house)).filter((check) => !check.ok).map(({ name, say }) => `${name}: ${say}`);

test('all is well', async () => {
  expect(await lacking(studio.house)).toEqual([]);
});

test('a full disk, a store that is away and a queue that nobody works at are told', async () => {
  const { house } = studio;
  const files = {
    ...house.files,
    free: () => Promise.resolve(10),
    has: () => Promise.reject(new Error('The store is away.')),
  };
  await studio.send(studio.bea, 10);
  await house.db.execute(sql`update pgboss.job set created_on = now() - interval '10 minutes' where state < 'active'`);
  expect(await lacking({ ...house, files, settings: { ...house.settings, minFree: 1000 } })).toEqual([
    'files: The store is away.',
    'space: The disk is nearly full: pictures are refused until there is room.',
    expect.stringMatching(/^queue: \d+ pictures wait, the first for 10 minutes/),
  ]);
});
