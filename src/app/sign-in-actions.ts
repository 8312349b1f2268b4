'use server';
/** Coming in and going out. */
import type { SignedIn } from '@/data/sign-in/auth';
import { createFirstTeacher } from '@/studio/class/people';
import { theHouse } from '@/studio/house';
import { cookies, headers } from 'next/headers';
import { redirect } from 'next/navigation';
import pLimit, { type LimitFunction } from 'p-limit';
import { RateLimiterMemory } from 'rate-limiter-flexible';
import { outcome, type Outcome } from './outcome';

const TRIES = { points: 5, duration: 60 };
const TOO_MANY = 'Too many tries: wait a minute, then try again.';

interface Door {
  readonly failures: RateLimiterMemory;
  readonly oneByOne: Map<string, LimitFunction>;
}
const holder = globalThis as { fairGreyDoor?: Door };

/**
 * Five wrong tries a minute for each class (or e-mail) from each address. Right ones are free: a whole class
 * comes in from one address within a minute. Tries are looked at one by one, so that many at once are no way round.
 */
async function signIn(what: string, check: () => Promise<SignedIn | null>, wrong: string): Promise<Outcome> {
  const door = (holder.fairGreyDoor ??= {
    failures: new RateLimiterMemory(TRIES),
    oneByOne: new Map<string, LimitFunction>(),
  });
  const address = (await headers()).get('x-forwarded-for')?.split(',')[0] ?? 'here';
  const key = `${what.toLowerCase()} ${address}`;
  const queue = door.oneByOne.get(key) ?? pLimit(1);
  door.oneByOne.set(key, queue);
  try {
    return await queue(async (): Promise<Outcome> => {
      const before = await door.failures.get(key);
      if (before && before.consumedPoints >= TRIES.points) return { ok: false, say: TOO_MANY };
      const signedIn = await check();
      if (!signedIn) {
        await door.failures.consume(key);
        return { ok: false, say: wrong };
      }
      await letIn(signedIn);
      return { ok: true, value: null };
    });
  } finally {
    if (queue.activeCount + queue.pendingCount === 0) door.oneByOne.delete(key);
  }
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

export async function signInTeacher(_: Outcome | null, form: FormData): Promise<Outcome> {
  const house = await theHouse();
  const email = typed(form, 'email').slice(0, 254);
  const password = typed(form, 'password').slice(0, 200);
  const done = await signIn(
    `teacher ${email}`,
    () => house.auth.signInTeacher(email, password),
    'E-mail and password do not go together. Try once more.',
  );
  if (done.ok) redirect('/');
  return done;
}

export async function signInStudent(_: Outcome | null, form: FormData): Promise<Outcome> {
  const house = await theHouse();
  const classCode = typed(form, 'classCode').slice(0, 20);
  const code = typed(form, 'code').slice(0, 20);
  const done = await signIn(
    `class ${classCode}`,
    () => house.auth.signInStudent(classCode, code),
    'These two codes do not go together. Look at your slip once more, or ask your teacher for a new code.',
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
