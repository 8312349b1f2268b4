/** Wrong codes are counted by what sign-in compares; right ones, and devices that are known, always come in. */
import { doorTries } from '@/data/schema/tables';
import { sql } from 'drizzle-orm';
import { eachInNewStudio, type TestStudio } from '../test-studio';
import { type AtDoor, type Caller, UPLOADS_AN_HOUR } from './door';

let studio: TestStudio;
eachInNewStudio((fresh) => {
  studio = fresh;
});

const from = (address: string, device: string | null = null): Caller => ({ address, device });

function atClass(code: string, own: string, caller: Caller): Promise<AtDoor> {
  const { house } = studio;
  return house.door.come({ class: code }, caller, () => house.auth.signInStudent(code, own));
}

async function fiveWrong(caller: Caller): Promise<void> {
  for (let k = 0; k < 5; k++)
    expect(await atClass(studio.codes.class, `WRONG${k}`, caller)).toMatchObject({ kind: 'wrong' });
}

test('the same codes typed in other ways are counted as the same', async () => {
  const { class: code } = studio.codes;
  const ways = [code, code.toLowerCase(), `${code.slice(0, 3)}-${code.slice(3)}`, `${code}.`, ` ${code} `];
  for (const way of ways) expect(await atClass(way, 'WRONG', from('10.0.0.9'))).toMatchObject({ kind: 'wrong' });
  expect(await atClass(code, 'WRONG', from('10.0.0.9'))).toMatchObject({ kind: 'closed' });
});

test('many at once are no way round', async () => {
  const came = await Promise.all(
    Array.from({ length: 20 }, (_, k) => atClass(studio.codes.class, `WRONG${k}`, from('10.0.0.9'))),
  );
  expect(came.filter((c) => c.kind === 'wrong')).toHaveLength(5);
});

test('a whole class comes in from one address', async () => {
  for (let k = 0; k < 12; k++)
    expect(await atClass(studio.codes.class, studio.codes.bea, from('10.0.0.9'))).toMatchObject({ kind: 'in' });
});

test('who came in by a device before is not shut out by anybody’s wrong codes, and cannot be forged', async () => {
  const { class: code, bea } = studio.codes;
  const first = await atClass(code, bea, from('10.0.0.9'));
  if (first.kind !== 'in') throw new Error('The right code did not open.');
  await fiveWrong(from('10.0.0.9'));
  expect(await atClass(code, bea, from('10.0.0.9'))).toMatchObject({ kind: 'closed' });
  expect(await atClass(code, bea, from('10.0.0.9', `${first.device}0`))).toMatchObject({ kind: 'closed' });
  expect(await atClass(code, bea, from('10.0.0.9', first.device))).toMatchObject({ kind: 'in' });
  // Nor does it open another door.
  const teacher = await studio.house.door.come({ teacher: code }, from('10.0.0.9', first.device), () =>
    Promise.resolve(null),
  );
  expect(teacher.kind).toBe('wrong');
});

test('a student who sends picture after picture is asked to wait, and nobody else is', async () => {
  const { house, bea, ruta } = studio;
  for (let k = 0; k < UPLOADS_AN_HOUR; k++) await house.door.countUpload(bea.studentId);
  expect(await house.door.countUpload(bea.studentId)).toBe(false);
  expect(await house.door.countUpload(ruta.studentId)).toBe(true);
});

test('what counts no longer is forgotten', async () => {
  const { house } = studio;
  await fiveWrong(from('10.0.0.7'));
  await house.db.update(doorTries).set({ expire: new Date(Date.now() - 1000) });
  await house.door.tidy();
  expect(await house.db.select().from(doorTries)).toEqual([]);
});

test('it stays closed for longer each time, and its owner can see that it was', async () => {
  const { door, db } = studio.house;
  const { class: code } = studio.codes;
  await fiveWrong(from('10.0.0.9'));
  expect(await atClass(code, 'WRONG', from('10.0.0.9'))).toMatchObject({ kind: 'closed', seconds: 60 });
  await fiveWrong(from('10.0.0.8'));
  expect(await door.closings({ class: code.toLowerCase() })).toBe(2);
  expect(await door.closings({ class: 'QUIET2' })).toBe(0);
  // The minute is over.
  await db.update(doorTries).set({ expire: sql`${doorTries.expire} - interval '61 seconds'` });
  await fiveWrong(from('10.0.0.9'));
  expect(await atClass(code, 'WRONG', from('10.0.0.9'))).toMatchObject({ kind: 'closed', seconds: 120 });
});
