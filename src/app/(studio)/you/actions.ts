'use server';
/** Somebody's own sign-in. Where a session is replaced by another one, they stay signed in by it. */
import type { SecondStep } from '@/data/sign-in/accounts';
import type { SignedIn } from '@/data/sign-in/auth';
import {
  beginSecondStep,
  changePassword,
  confirmSecondStep,
  endSecondStep,
  signOutEverywhere,
} from '@/studio/staff/own-account';
import type { House } from '@/studio/house';
import { revalidatePath } from 'next/cache';
import { headers } from 'next/headers';
import { redirect } from 'next/navigation';
import QRCode from 'qrcode';
import { z } from 'zod';
import { teacherOnly } from '../../access';
import { letIn } from '../../let-in';
import { outcome, type Outcome } from '../../outcome';

const typed = z.string().max(400);

async function goOnBy(work: (house: House, asked: Headers) => Promise<SignedIn>): Promise<Outcome<void>> {
  const { house } = await teacherOnly();
  const done = await outcome(async () => letIn(house, await work(house, await headers())));
  revalidatePath('/you');
  return done;
}

export async function changeOwnPassword(old: string, next: string): Promise<Outcome<void>> {
  return goOnBy((house, asked) => changePassword(house, asked, typed.parse(old), next));
}

/** With a picture of the key, for a camera to read. */
export async function beginSecond(password: string): Promise<Outcome<SecondStep & { readonly picture: string }>> {
  const { house } = await teacherOnly();
  return outcome(async () => {
    const begun = await beginSecondStep(house, await headers(), typed.parse(password));
    return { ...begun, picture: await QRCode.toDataURL(begun.uri, { margin: 2 }) };
  });
}

export async function confirmSecond(code: string): Promise<Outcome<void>> {
  return goOnBy((house, asked) => confirmSecondStep(house, asked, typed.parse(code)));
}

export async function endSecond(password: string): Promise<Outcome<void>> {
  return goOnBy((house, asked) => endSecondStep(house, asked, typed.parse(password)));
}

export async function leaveEverywhere(): Promise<void> {
  const { house, teacher } = await teacherOnly();
  await signOutEverywhere(house, teacher);
  redirect('/sign-in');
}
