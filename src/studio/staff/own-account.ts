/** What somebody looks after of their own sign-in. All of it asks for the password once more, or for a code. */
import type { SecondStep } from '@/data/sign-in/accounts';
import type { SignedIn } from '@/data/sign-in/auth';
import { Refused, type Teacher } from '../access/actor';
import type { House } from '../house';
import { passwordSchema } from '../words';

const WRONG = 'This is not your password as it is now. Nothing was changed.';

function orRefused<T>(done: T | null, say: string): T {
  if (done === null) throw new Refused(say);
  return done;
}

/** Changes the password; everywhere else one is signed out. Throws Refused where the old one is not right. */
export async function changePassword(house: House, headers: Headers, old: string, next: string): Promise<SignedIn> {
  const password = passwordSchema.parse(next);
  return orRefused(await house.auth.accounts.changePassword(headers, old, password), WRONG);
}

export async function ownAccount(house: House, teacher: Teacher, headers: Headers) {
  const { accounts } = house.auth;
  return {
    sessions: await accounts.sessions(headers),
    hasSecondStep: await accounts.hasSecondStep(teacher.userId),
  };
}

/** Begins a second step. It counts once a code of it was typed in. */
export const beginSecondStep = async (house: House, headers: Headers, password: string): Promise<SecondStep> =>
  orRefused(await house.auth.accounts.beginSecondStep(headers, password), WRONG);

export const confirmSecondStep = async (house: House, headers: Headers, code: string): Promise<SignedIn> =>
  orRefused(
    await house.auth.accounts.confirmSecondStep(headers, code),
    'That code is not right: type in the one that your authenticator shows now. Look whether its clock goes right.',
  );

export const endSecondStep = async (house: House, headers: Headers, password: string): Promise<SignedIn> =>
  orRefused(await house.auth.accounts.endSecondStep(headers, password), WRONG);

/** Ends all of somebody's sessions, this one too. */
export const signOutEverywhere = (house: House, teacher: Teacher): Promise<void> =>
  house.auth.accounts.signOutEverywhere(teacher.userId);
