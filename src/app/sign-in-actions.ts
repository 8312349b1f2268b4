'use server';
/** Coming in and going out. */
import type { DoorOf } from '@/data/sign-in/auth';
import { joinStudio } from '@/studio/staff/colleagues';
import { createFirstTeacher } from '@/studio/class/people';
import type { Check } from '@/studio/access/door';
import { type House, theHouse } from '@/studio/house';
import { cookies, headers } from 'next/headers';
import { redirect } from 'next/navigation';
import { addressOfCaller } from './caller';
import { letIn, onlyHere } from './let-in';
import { outcome, type Outcome } from './outcome';

const MINUTE = 60;
const tooMany = (seconds: number): string => {
  const minutes = Math.ceil(seconds / MINUTE);
  return `Too many tries: wait ${minutes === 1 ? 'a minute' : `${minutes} minutes`}, then try again.`;
};

/** What a device that somebody came in by is known by, at each door apart. */
const DEVICE_DAYS = 365;
const deviceCookie = (house: House, of: DoorOf) => `device-${house.door.nameOf(of).slice(0, 8)}`;

async function signIn(
  of: DoorOf,
  check: (house: House) => ReturnType<Check>,
  wrong: () => string,
): Promise<Outcome & { readonly more?: boolean }> {
  const house = await theHouse();
  const name = deviceCookie(house, of);
  const device = (await cookies()).get(name)?.value ?? null;
  const came = await house.door.come(of, { address: await addressOfCaller(), device }, () => check(house));
  if (came.kind === 'closed') return { ok: false, say: tooMany(came.seconds) };
  if (came.kind === 'more') return { ok: false, say: 'Now the code that your authenticator shows.', more: true };
  if (came.kind === 'wrong') return { ok: false, say: wrong() };
  await letIn(house, came.signedIn);
  (await cookies()).set(name, came.device, { ...(await onlyHere()), maxAge: DEVICE_DAYS * 24 * 3600 });
  return { ok: true, value: null };
}

/** A text field of a form; a file in its place counts as empty. */
function typed(form: FormData, name: string): string {
  const value = form.get(name);
  return typeof value === 'string' ? value : '';
}

export async function signInTeacher(_: Outcome | null, form: FormData): Promise<Outcome & { readonly more?: boolean }> {
  const email = typed(form, 'email').slice(0, 254);
  const password = typed(form, 'password').slice(0, 200);
  const code = typed(form, 'code').slice(0, 40);
  let wrong = 'E-mail and password do not go together. Try once more.';
  const done = await signIn(
    { teacher: email },
    async (house) => {
      const came = await house.auth.accounts.signIn(email, password, code);
      if (came !== 'second') return came;
      if (code.trim() === '') return 'more';
      wrong = 'That code is not right any more: type in the one that your authenticator shows now.';
      return null;
    },
    () => wrong,
  );
  if (done.ok) redirect('/');
  return { ...done, ...(code.trim() !== '' && { more: true }) };
}

export async function signInStudent(_: Outcome | null, form: FormData): Promise<Outcome> {
  const classCode = typed(form, 'classCode').slice(0, 20);
  const code = typed(form, 'code').slice(0, 20);
  const done = await signIn(
    { class: classCode },
    (house) => house.auth.signInStudent(classCode, code),
    () => 'These two codes do not go together. Look at your slip once more, or ask your teacher for a new code.',
  );
  if (done.ok) redirect('/my');
  return done;
}

export async function begin(_: Outcome | null, form: FormData): Promise<Outcome> {
  const house = await theHouse();
  const email = typed(form, 'email');
  const password = typed(form, 'password');
  const made = await outcome(() => createFirstTeacher(house, typed(form, 'name'), email, password));
  if (!made.ok) return made;
  const signedIn = await house.auth.signInTeacher(email, password);
  if (!signedIn) return { ok: false, say: 'You are registered; sign in with your e-mail and password.' };
  await letIn(house, signedIn);
  redirect('/');
}

/** All who come with an invitation come by one door: it closes to an address that tries many. */
const INVITED: DoorOf = { class: 'by invitation' };

export async function join(_: Outcome | null, form: FormData): Promise<Outcome> {
  const [email, password] = [typed(form, 'email').slice(0, 254), typed(form, 'password').slice(0, 200)];
  const given = { code: typed(form, 'code').slice(0, 40), name: typed(form, 'name').slice(0, 200), email, password };
  let refused = '';
  const done = await signIn(
    INVITED,
    async (house) => {
      const made = await outcome(() => joinStudio(house, given));
      if (made.ok) return house.auth.signInTeacher(email, password);
      refused = made.say;
      return null;
    },
    () => '',
  );
  if (done.ok) redirect('/');
  return { ok: false, say: refused || done.say };
}

export async function signOut(): Promise<void> {
  const house = await theHouse();
  await house.auth.signOut(await headers());
  (await cookies()).delete((await house.auth.cookie('')).name);
  redirect('/sign-in');
}

export async function setSurround(value: string): Promise<void> {
  if (!['dark', 'middle', 'light'].includes(value)) return;
  (await cookies()).set('surround', value, { ...(await onlyHere()), maxAge: 365 * 24 * 3600 });
}
