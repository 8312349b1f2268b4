import { defaultScale } from '@/core/exercise/scale';
import { sql } from 'drizzle-orm';
import { mkdirSync, mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { newClassCode, newId, newPersonalCode } from '../schema/ids';
import { classes, exercises, user } from '../schema/tables';
import { readSettings } from '../settings';
import { openDatabase } from './database';
import { lockFolder } from './lock';

const fresh = () => mkdtempSync(path.join(tmpdir(), 'fair-grey-db-'));

test('rows outlive the process, and terms stored before there were kinds still open', async () => {
  const folder = fresh();
  // A creation that was killed leaves its half-made folder aside; it is made anew.
  mkdirSync(path.join(folder, 'pg.new'));
  writeFileSync(path.join(folder, 'pg.new', 'PG_VERSION'), '16');
  const first = await openDatabase({ folder });
  await first.db
    .insert(user)
    .values({ id: 't', name: 'T', email: 't@tidewell.example', role: 'teacher', standing: 'owner' });
  await first.db
    .insert(classes)
    .values({ id: 'c', teacherId: 't', name: 'C', numbering: 'white-is-one', code: 'ABCDEF' });
  const { materials, ...old } = defaultScale('oil', 7);
  expect(materials.paints.length).toBe(2);
  await first.db.execute(
    sql`insert into exercises (id, class_id, title, terms) values
      ('e', 'c', 'Old', ${JSON.stringify(old)}::jsonb),
      ('bad', 'c', 'Bad', '{"kind":"unheard-of"}'::jsonb)`,
  );
  await first.close();

  const again = await openDatabase({ folder });
  const [row] = await again.db
    .select()
    .from(exercises)
    .where(sql`id = 'e'`);
  expect(row).toMatchObject({
    revision: 1,
    placing: null,
    terms: { kind: 'scale', steps: 7, materials: { thinner: 'none' } },
  });
  await expect(
    again.db
      .select()
      .from(exercises)
      .where(sql`id = 'bad'`),
  ).rejects.toThrow();
  await again.close();
});

test('a second process is kept out of a folder that is in use', async () => {
  const folder = fresh();
  writeFileSync(path.join(folder, 'in-use'), JSON.stringify({ pid: process.ppid, started: null }));
  await expect(openDatabase({ folder })).rejects.toThrow('in use by another Fair Grey');
  expect(() => lockFolder(folder)).toThrow(/Stop it first/);
});

test('ids and codes are long enough, and hold no letter that is taken for another', () => {
  const many = Array.from({ length: 500 }, newId);
  expect(new Set(many).size).toBe(500);
  for (const id of many) expect(id).toMatch(/^[a-z2-9]{16}$/);
  expect(newClassCode()).toMatch(/^[A-HJ-NP-Z2-9]{6}$/);
  expect(newPersonalCode()).toMatch(/^[A-HJ-NP-Z2-9]{8}$/);
});

test('settings come from the environment and are checked', () => {
  expect(readSettings({})).toMatchObject({
    databaseUrl: null,
    minFree: 500 * 1024 * 1024,
    demo: false,
  });
  expect(readSettings({ FAIR_GREY_DATA: '/somewhere', FAIR_GREY_DEMO: '1', FAIR_GREY_MIN_FREE: '10' })).toEqual({
    databaseUrl: null,
    s3: null,
    folder: '/somewhere',
    demo: true,
    role: 'all',
    minFree: 10,
    metrics: null,
    backupDays: null,
  });
  expect(() => readSettings({ FAIR_GREY_MIN_FREE: 'plenty' })).toThrow();
  expect(readSettings({ DATABASE_URL: 'postgresql://studio@db:5432/grey' }).databaseUrl).toContain('@db:5432');
  expect(readSettings({ FAIR_GREY_METRICS: '10.0.0.4:9464' }).metrics).toEqual({ host: '10.0.0.4', port: 9464 });
  expect(() => readSettings({ FAIR_GREY_METRICS: 'here' })).toThrow(/has to be like 127/);
  expect(() => readSettings({ FAIR_GREY_LOG: 'loud' })).toThrow(/has to be one of debug, info/);
  expect(() => readSettings({ DATABASE_URL: 'mysql://elsewhere/grey' })).toThrow(/has to be like postgresql:/);
});
