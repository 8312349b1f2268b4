/** Passwords are changed and given anew, and a second step holds: with codes made here by the standard, apart from the library. */
import { createHmac } from 'node:crypto';
import { mkdtemp } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { openDatabase } from '../database/database';
import type { OpenDatabase } from '../database/engine';
import { freshDatabase } from '../database/test-database';
import { newId } from '../schema/ids';
import { twoFactor, verification } from '../schema/tables';
import { type Auth, openAuth, type SignedIn } from './auth';

const PASSWORD = 'saltpans-and-hills';
let opened: OpenDatabase;
let auth: Auth;
let email: string;
let userId: string;
beforeAll(async () => {
  const folder = await mkdtemp(path.join(tmpdir(), 'fair-grey-accounts-'));
  opened = await openDatabase({ folder, databaseUrl: await freshDatabase(folder) });
  auth = await openAuth(opened.db);
});
afterAll(() => opened.close());
beforeEach(async () => {
  email = `${newId()}@tidewell.example`.toLowerCase();
  userId = await auth.createTeacher('Hesper Dunnock', email, PASSWORD);
});

async function headersOf(signedIn: SignedIn | 'second' | null): Promise<Headers> {
  if (signedIn === null || signedIn === 'second') throw new Error('Nobody came in.');
  const { name, value } = await auth.cookie(signedIn.token);
  return new Headers({ cookie: `${name}=${encodeURIComponent(value)}` });
}
const comeIn = async () => headersOf(await auth.signInTeacher(email, PASSWORD));
const isIn = async (headers: Headers) => (await auth.userOf(headers)) !== null;

const LETTERS = 'ABCDEFGHIJKLMNOPQRSTUVWXYZ234567';
/** The code of a key at a moment: RFC 6238 with its usual half minutes and six digits. */
function codeOf(uri: string, at = Date.now()): string {
  const key = new URL(uri).searchParams.get('secret') ?? '';
  const bits = [...key].map((letter) => LETTERS.indexOf(letter).toString(2).padStart(5, '0')).join('');
  const bytes = Buffer.from((bits.match(/.{8}/g) ?? []).map((byte) => parseInt(byte, 2)));
  const counter = Buffer.alloc(8);
  counter.writeBigUInt64BE(BigInt(Math.floor(at / 30_000)));
  const mac = createHmac('sha1', bytes).update(counter).digest();
  const from = (mac.at(-1) ?? 0) & 15;
  return String((mac.readUInt32BE(from) & 0x7fffffff) % 1_000_000).padStart(6, '0');
}

test('a changed password opens, the old one does not, and everywhere else one is signed out', async () => {
  const [here, elsewhere] = [await comeIn(), await comeIn()];
  expect(await auth.accounts.changePassword(here, 'not the password', 'mortar-and-madder')).toBeNull();
  expect(await isIn(elsewhere)).toBe(true);
  const next = await headersOf(await auth.accounts.changePassword(here, PASSWORD, 'mortar-and-madder'));
  expect([await isIn(here), await isIn(elsewhere), await isIn(next)]).toEqual([false, false, true]);
  expect(await auth.signInTeacher(email, PASSWORD)).toBeNull();
  expect(await auth.signInTeacher(email, 'mortar-and-madder')).not.toBeNull();
});

test('one signs out everywhere, and sees before where one is signed in', async () => {
  const [here, elsewhere] = [await comeIn(), await comeIn()];
  const sessions = await auth.accounts.sessions(here);
  expect(sessions.map((s) => s.isThis).sort()).toEqual([false, true]);
  await auth.accounts.signOutEverywhere(userId);
  expect([await isIn(here), await isIn(elsewhere)]).toEqual([false, false]);
});

test('a second step is asked for once a code of it was typed in, and not before', async () => {
  const here = await comeIn();
  expect(await auth.accounts.beginSecondStep(here, 'not the password')).toBeNull();
  const begun = await auth.accounts.beginSecondStep(here, PASSWORD);
  if (!begun) throw new Error('It did not begin.');
  expect(await auth.accounts.signIn(email, PASSWORD)).not.toBe('second');
  expect(await auth.accounts.confirmSecondStep(here, '000000')).toBeNull();
  const still = await headersOf(await auth.accounts.confirmSecondStep(here, codeOf(begun.uri)));
  expect(await isIn(still)).toBe(true);
  expect(await auth.accounts.hasSecondStep(userId)).toBe(true);

  expect(await auth.accounts.signIn(email, PASSWORD)).toBe('second');
  expect(await auth.signInTeacher(email, PASSWORD)).toBeNull();
  expect(await auth.accounts.signIn(email, PASSWORD, '123456')).toBe('second');
  // A code of an hour ago is none.
  expect(await auth.accounts.signIn(email, PASSWORD, codeOf(begun.uri, Date.now() - 3_600_000))).toBe('second');
  const shown = codeOf(begun.uri);
  expect(await isIn(await headersOf(await auth.accounts.signIn(email, PASSWORD, shown)))).toBe(true);
  // Whoever saw it typed in does not come in by it as well, and leaves no session behind.
  const before = (await auth.accounts.sessions(still)).length;
  expect(await auth.accounts.signIn(email, PASSWORD, shown)).toBe('second');
  expect(await auth.accounts.sessions(still)).toHaveLength(before);
  // With the wrong password no code helps.
  expect(await auth.accounts.signIn(email, 'not the password', codeOf(begun.uri))).toBeNull();
  // What was begun at the door and never ended is forgotten when its time is over.
  expect(await opened.db.$count(verification)).toBeGreaterThan(0);
  await opened.db.update(verification).set({ expiresAt: new Date(Date.now() - 1000) });
  await auth.accounts.tidy();
  expect(await opened.db.$count(verification)).toBe(0);
  // Neither the key nor a spare code stands in the database as it is.
  const stored = JSON.stringify(await opened.db.select().from(twoFactor));
  expect(
    [...begun.spare, new URL(begun.uri).searchParams.get('secret') ?? '-'].filter((s) => stored.includes(s)),
  ).toEqual([]);
});

test('a spare code lets in once; without the phone the step is ended by the password, or by the owner', async () => {
  const here = await comeIn();
  const begun = await auth.accounts.beginSecondStep(here, PASSWORD);
  const still = await headersOf(await auth.accounts.confirmSecondStep(here, codeOf(begun?.uri ?? '')));
  const [spare] = begun?.spare ?? [];
  expect(await auth.accounts.signIn(email, PASSWORD, spare)).toMatchObject({ token: expect.any(String) as string });
  expect(await auth.accounts.signIn(email, PASSWORD, spare)).toBe('second');
  expect(await auth.accounts.endSecondStep(still, 'not the password')).toBeNull();

  await auth.accounts.resetPassword(userId, 'a-new-one-for-hesper');
  expect(await isIn(still)).toBe(false);
  expect(await auth.accounts.hasSecondStep(userId)).toBe(false);
  expect(await auth.accounts.signIn(email, 'a-new-one-for-hesper')).toMatchObject({
    token: expect.any(String) as string,
  });
  expect(await auth.accounts.signIn(email, PASSWORD)).toBeNull();
});
