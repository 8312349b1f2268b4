/** More teachers in one studio: by a code that serves once, and for a week. */
import { newId } from '@/data/schema/ids';
import { invitations, user } from '@/data/schema/tables';
import { eq } from 'drizzle-orm';
import { eachInNewStudio, type TestStudio } from '../test-studio';
import { colleaguesOf, inviteTeacher, joinStudio } from './colleagues';

let studio: TestStudio;
eachInNewStudio((fresh) => {
  studio = { ...fresh, teacher: { ...fresh.teacher, standing: 'owner' } };
});

const mail = () => `${newId()}@tidewell.example`;
const corin = (code: string, email = mail()) => ({ code, name: 'Corin Maddery', email, password: 'mortar-and-madder' });

test('who has a code becomes a teacher, can sign in, and each sees the other', async () => {
  const { house, teacher } = studio;
  const code = await inviteTeacher(house, teacher);
  const email = mail();
  // However it is typed, it is the same code.
  const id = await joinStudio(house, corin(` ${code.toLowerCase().slice(0, 6)} ${code.slice(6)}`, email));
  expect(await house.auth.signInTeacher(email, 'mortar-and-madder')).not.toBeNull();
  expect((await colleaguesOf(house, teacher)).map((c) => c.id)).toContain(id);
  expect((await colleaguesOf(house, { ...teacher, userId: id })).map((c) => c.id)).toContain(teacher.userId);
});

test('a code serves once, whoever else brings it at the same moment', async () => {
  const { house, teacher } = studio;
  const code = await inviteTeacher(house, teacher);
  const tries = await Promise.allSettled([1, 2, 3].map(() => joinStudio(house, corin(code))));
  expect(tries.filter((t) => t.status === 'fulfilled')).toHaveLength(1);
  await expect(joinStudio(house, corin(code))).rejects.toThrow('not known, or was used');
});

test('a code of last week, or of nobody, opens nothing, and leaves no account behind', async () => {
  const { house, teacher } = studio;
  const code = await inviteTeacher(house, teacher);
  await house.db.update(invitations).set({ createdAt: new Date(Date.now() - 8 * 24 * 3_600_000) });
  const email = mail();
  await expect(joinStudio(house, corin(code, email))).rejects.toThrow('Ask for a new one');
  await expect(joinStudio(house, corin('NOSUCHCODE', email))).rejects.toThrow('Ask for a new one');
  // Nor does it tell who has an account.
  await expect(joinStudio(house, corin('NOSUCHCODE', studio.codes.email))).rejects.toThrow('Ask for a new one');
  expect(await house.db.$count(user, eq(user.email, email))).toBe(0);
});

test('an e-mail that has an account is told to sign in, and the code stays good', async () => {
  const { house, teacher, codes } = studio;
  const code = await inviteTeacher(house, teacher);
  await expect(joinStudio(house, corin(code, codes.email.toUpperCase()))).rejects.toThrow('Sign in with it');
  await expect(joinStudio(house, { ...corin(code), password: 'short' })).rejects.toThrow('8 characters');
  expect(await joinStudio(house, corin(code))).toBeTruthy();
});

test('the codes themselves are kept nowhere', async () => {
  const { house, teacher } = studio;
  const code = await inviteTeacher(house, teacher);
  expect(JSON.stringify(await house.db.select().from(invitations))).not.toContain(code);
});
