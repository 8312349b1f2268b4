/** Lets somebody in: their session travels in a cookie of this studio alone. */
import type { SignedIn } from '@/data/sign-in/auth';
import type { House } from '@/studio/house';
import { cookies } from 'next/headers';
import { cameByHttps } from './caller';

/** How cookies travel: to this studio alone, where no script reads them, and over https only where the visitor came by it. */
export const onlyHere = async () =>
  ({ httpOnly: true, sameSite: 'lax', path: '/', secure: await cameByHttps() }) as const;

export async function letIn(house: House, signedIn: SignedIn): Promise<void> {
  const { name, value } = await house.auth.cookie(signedIn.token);
  (await cookies()).set(name, value, { ...(await onlyHere()), expires: signedIn.expiresAt });
}
