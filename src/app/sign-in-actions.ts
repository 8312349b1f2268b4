'use server';
/** Coming in and going out. */
import { cookies, headers } from 'next/headers';
import { redirect } from 'next/navigation';
import { RateLimiterMemory } from 'rate-limiter-flexible';
import type { SignedIn } from '@/data/auth';
import { theHouse } from '@/studio/house';
import { createFirstTeacher } from '@/studio/people';
import { outcome, type Outcome } from './outcome';

const TRIES = { points: 5, duration: 60 };
const limits = globalThis as { fairGreyTries?: RateLimiterMemory };

/** Five tries a minute for each class (or e-mail) from each address. */
async function mayTry(what: string): Promise<boolean> {
  limits.fairGreyTries ??= new RateLimiterMemory(TRIES);
  const h = await headers();
  const address = h.get('x-forwarded-for')?.split(',')[0] ?? 'here';
  return limits.fairGreyTries.consume(`${what.toLowerCase()} ${address}`).then(
    () => true,
    () => false,
  );
}

async function letIn(signedIn: SignedIn): Promise<void> {
  const house = await theHouse();
  const { name, value } = await house.auth.cookie(signedIn.token);
  (await cookies()).set(name, value, { httpOnly: true, sameSite: 'lax', path: '/', expires: signedIn.expiresAt });
}

/** A text field of a form; a file in its place counts as empty. */
function typed(form: FormData, name: string): string {
  const value = form.get(name);
  return typeof value === 'string' ? value : '';
}

const TOO_MANY = 'Too many tries: wait a minute, then try again.';

export async function signInTeacher(_: Outcome | null, form: FormData): Promise<Outcome> {
  const email = typed(form, 'email').slice(0, 254);
  if (!(await mayTry(`teacher ${email}`))) return { ok: false, say: TOO_MANY };
  const house = await theHouse();
  const signedIn = await house.auth.signInTeacher(email, typed(form, 'password').slice(0, 200));
  if (!signedIn) return { ok: false, say: 'E-mail and password do not go together. Try once more.' };
  await letIn(signedIn);
  redirect('/');
}

export async function signInStudent(_: Outcome | null, form: FormData): Promise<Outcome> {
  const classCode = typed(form, 'classCode').slice(0, 20);
  if (!(await mayTry(`class ${classCode}`))) return { ok: false, say: TOO_MANY };
  const house = await theHouse();
  const signedIn = await house.auth.signInStudent(classCode, typed(form, 'code').slice(0, 20));
  if (!signedIn) return { ok: false, say: 'These two codes do not go together. Look at your slip once more, or ask your teacher for a new code.' };
  await letIn(signedIn);
  redirect('/my');
}

export async function begin(_: Outcome | null, form: FormData): Promise<Outcome> {
  const house = await theHouse();
  const email = typed(form, 'email');
  const password = typed(form, 'password');
  const made = await outcome(() => createFirstTeacher(house, typed(form, 'name'), email, password));
  if (!made.ok) return made;
  const signedIn = await house.auth.signInTeacher(email, password);
  if (!signedIn) return { ok: false, say: 'You are registered; sign in with your e-mail and password.' };
  await letIn(signedIn);
  redirect('/');
}

export async function signOut(): Promise<void> {
  const house = await theHouse();
  await house.auth.signOut(await headers());
  (await cookies()).delete((await house.auth.cookie('')).name);
  redirect('/sign-in');
}

export async function setSurround(value: string): Promise<void> {
  if (!['dark', 'middle', 'light'].includes(value)) return;
  (await cookies()).set('surround', value, { sameSite: 'lax', path: '/', maxAge: 365 * 24 * 3600 });
}
