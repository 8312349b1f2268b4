/** Other teachers of the studio: who they are, and how one more comes in by a code. */
import { newInvitation } from '@/data/schema/ids';
import { invitations, user } from '@/data/schema/tables';
import { and, asc, eq, gt, isNull, ne } from 'drizzle-orm';
import { z } from 'zod';
import { Refused, type Teacher } from '../access/actor';
import type { House } from '../house';
import { emailSchema, nameSchema, passwordSchema } from '../words';

/** An invitation that nobody has used by then is void. */
export const INVITATION_DAYS = 7;
const DAY_MS = 24 * 3_600_000;

export interface Colleague {
  readonly id: string;
  readonly name: string;
}

export function colleaguesOf(house: House, teacher: Teacher): Promise<Colleague[]> {
  return house.db
    .select({ id: user.id, name: user.name })
    .from(user)
    .where(and(eq(user.role, 'teacher'), ne(user.id, teacher.userId)))
    .orderBy(asc(user.name), asc(user.id));
}

const markOf = (house: House, code: string) =>
  house.auth.mark(`invitation ${code.toUpperCase().replace(/[^A-Z0-9]/g, '')}`);

/** Returns the code, which is shown this once: only its mark is kept. */
export async function inviteTeacher(house: House, teacher: Teacher): Promise<string> {
  const code = newInvitation();
  await house.db.insert(invitations).values({ mark: markOf(house, code), invitedBy: teacher.userId });
  return code;
}

const UNKNOWN = 'This invitation is not known, or was used. Ask for a new one.';

const joinSchema = z.object({
  code: z.string().max(40),
  name: nameSchema,
  email: emailSchema,
  password: passwordSchema,
});

/**
 * Makes a teacher of whoever brings an invitation; it is used up by it, whoever else brings it at the same moment.
 *
 * @throws Refused where there is no such invitation (any more), or where the e-mail has an account.
 */
export async function joinStudio(house: House, given: z.input<typeof joinSchema>): Promise<string> {
  const { code, name, email, password } = joinSchema.parse(given);
  const open = and(
    eq(invitations.mark, markOf(house, code)),
    isNull(invitations.usedAt),
    gt(invitations.createdAt, new Date(Date.now() - INVITATION_DAYS * DAY_MS)),
  );
  // Who has no invitation does not learn which e-mails have an account.
  if ((await house.db.$count(invitations, open)) === 0) throw new Refused(UNKNOWN);
  const taken = await house.db.$count(user, eq(user.email, email.toLowerCase()));
  if (taken > 0) throw new Refused('There is an account with this e-mail already. Sign in with it instead.');
  const made = await house.auth.createInvited(name, email, password, async (tx) => {
    const used = await tx.update(invitations).set({ usedAt: new Date() }).where(open).returning();
    return used.length === 1;
  });
  if (made === null) throw new Refused(UNKNOWN);
  return made;
}
