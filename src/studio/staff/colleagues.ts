/** Others who teach in the studio: who they are, how one more comes in by a code, and what its owner looks after for them. */
import { newInvitation, newPersonalCode } from '@/data/schema/ids';
import { invitations, type Standing, STANDINGS, user } from '@/data/schema/tables';
import { and, asc, eq, gt, isNull, ne } from 'drizzle-orm';
import { z } from 'zod';
import { NotFound, Refused, type Teacher } from '../access/actor';
import type { House } from '../house';
import { emailSchema, nameSchema, passwordSchema } from '../words';

/** An invitation that nobody has used by then is void. */
export const INVITATION_DAYS = 7;
const DAY_MS = 24 * 3_600_000;

export interface Colleague {
  readonly id: string;
  readonly name: string;
  readonly standing: Standing;
}

export async function colleaguesOf(house: House, teacher: Teacher): Promise<Colleague[]> {
  const rows = await house.db
    .select({ id: user.id, name: user.name, standing: user.standing })
    .from(user)
    .where(and(eq(user.role, 'teacher'), ne(user.id, teacher.userId)))
    .orderBy(asc(user.name), asc(user.id));
  return rows.map((row) => ({ ...row, standing: row.standing ?? 'assistant' }));
}

/** Throws Refused for everybody but an owner of the studio. */
function refuseAllButOwner({ standing }: Teacher): void {
  if (standing !== 'owner') throw new Refused('Only whoever began this studio, or was given it, does that.');
}

const markOf = (house: House, code: string) =>
  house.auth.mark(`invitation ${code.toUpperCase().replace(/[^A-Z0-9]/g, '')}`);

const standingSchema = z.enum(STANDINGS);

/** Returns the code, which is shown this once: only its mark is kept. Whoever brings it teaches here, or drafts for those who do. */
export async function inviteTeacher(house: House, teacher: Teacher, standing: unknown = 'teacher'): Promise<string> {
  refuseAllButOwner(teacher);
  const code = newInvitation();
  const as = standingSchema.parse(standing);
  await house.db.insert(invitations).values({ mark: markOf(house, code), invitedBy: teacher.userId, standing: as });
  return code;
}

/** A colleague, to be changed by the owner. Throws NotFound where there is none. */
async function colleagueOf(house: House, teacher: Teacher, id: string): Promise<Colleague> {
  refuseAllButOwner(teacher);
  const found = (await colleaguesOf(house, teacher)).find((c) => c.id === id);
  if (!found) throw new NotFound();
  return found;
}

/** Says what a colleague may do from now on. Nobody changes their own, so that a studio is never without an owner. */
export async function setStanding(house: House, teacher: Teacher, id: string, standing: unknown): Promise<void> {
  await colleagueOf(house, teacher, id);
  const next = standingSchema.parse(standing);
  await house.db.update(user).set({ standing: next }).where(eq(user.id, id));
}

/**
 * A new password for a colleague who lost theirs, shown this once; their second step and their sessions end. They choose another one
 * when they have come in.
 */
export async function resetPassword(house: House, teacher: Teacher, id: string): Promise<string> {
  await colleagueOf(house, teacher, id);
  const password = `${newPersonalCode()}-${newPersonalCode()}`.toLowerCase();
  await house.auth.accounts.resetPassword(id, password);
  return password;
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
    const [used] = await tx.update(invitations).set({ usedAt: new Date() }).where(open).returning();
    return used?.standing ?? null;
  });
  if (made === null) throw new Refused(UNKNOWN);
  return made;
}
