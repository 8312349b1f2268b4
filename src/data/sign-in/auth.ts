/**
 * Sign-in by better-auth on the same database. Teachers sign in with e-mail and password; a student's
 * user name is the keyed hash of class code and personal code, and the personal code is the password, so that
 * neither code is stored. Public sign-up is closed: accounts are made by the studio alone.
 */
import { hash } from '@node-rs/argon2';
import { createHmac, randomBytes } from 'node:crypto';
import { eq, sql } from 'drizzle-orm';
import type { Database, Transaction } from '../database/engine';
import { newId } from '../schema/ids';
import type { Standing } from '../schema/sign-in';
import * as schema from '../schema/tables';
import { type Accounts, openAccounts } from './accounts';
import { openInner, type SignedIn } from './inner';

export type { SignedIn } from './inner';

/** A lock of the database's that only making a first teacher takes. */
const FIRST_TEACHER = 7_204_467;

/** Whose door somebody stands at: a class's, by its code, or a teacher's, by an e-mail. */
export type DoorOf = { readonly class: string } | { readonly teacher: string };

export interface Auth {
  createTeacher(name: string, email: string, password: string, standing?: Standing): Promise<string>;
  /** The first teacher of a studio; null where there is one already, however many try at once. */
  createFirstTeacher(name: string, email: string, password: string): Promise<string | null>;
  /** A teacher whom something else allows within the same transaction; null where that says no. */
  createInvited(
    name: string,
    email: string,
    password: string,
    may: (tx: Transaction, userId: string) => Promise<Standing | null>,
  ): Promise<string | null>;
  /** A student's account; returns the user id. */
  createStudent(name: string, classCode: string, personalCode: string): Promise<string>;
  /** Gives a student a new personal code and ends their sessions. */
  reissueCode(userId: string, classCode: string, personalCode: string): Promise<void>;
  /** Null when e-mail and password don't go together, or where they are not enough. */
  signInTeacher(email: string, password: string): Promise<SignedIn | null>;
  signInStudent(classCode: string, personalCode: string): Promise<SignedIn | null>;
  /** The user of a session cookie's headers, or null. */
  userOf(headers: Headers): Promise<{
    readonly id: string;
    readonly role: 'teacher' | 'student';
    readonly name: string;
    readonly standing: Standing | null;
  } | null>;
  signOut(headers: Headers): Promise<void>;
  /** What somebody looks after of their own account, and an owner of others'. */
  readonly accounts: Accounts;
  /** Who somebody says they are as it is compared: however a code was typed, it is the same one. */
  comparable(of: DoorOf): DoorOf;
  /** A text's mark that only this studio can make. */
  mark(text: string): string;
  /** Name under which the session token travels, and its signed form. */
  cookie(token: string): Promise<{ name: string; value: string }>;
}

async function secretOf(db: Database): Promise<string> {
  const [row] = await db.select().from(schema.settings).where(eq(schema.settings.key, 'secret'));
  if (row) return row.value;
  const value = randomBytes(32).toString('hex');
  await db.insert(schema.settings).values({ key: 'secret', value }).onConflictDoNothing();
  return value;
}

function tidy(code: string): string {
  return code.toUpperCase().replace(/[^A-Z0-9]/g, '');
}

export async function openAuth(db: Database): Promise<Auth> {
  const secret = await secretOf(db);
  const auth = openInner(db, secret);
  const studentName = (classCode: string, personalCode: string) =>
    createHmac('sha256', secret)
      .update(`${tidy(classCode)}:${tidy(personalCode)}`)
      .digest('hex');

  async function createUser(
    role: 'teacher' | 'student',
    name: string,
    email: string,
    password: string,
    userName: string | null,
    as: (tx: Transaction, userId: string) => Promise<{ readonly standing: Standing | null } | null>,
  ) {
    const id = newId();
    const passwordHash = await hash(password);
    return db.transaction(async (tx) => {
      const allowed = await as(tx, id);
      if (!allowed) return null;
      const { standing } = allowed;
      const names = { name, email, username: userName, displayUsername: userName };
      await tx.insert(schema.user).values({ id, role, standing, ...names });
      await tx
        .insert(schema.account)
        .values({ id: newId(), accountId: id, providerId: 'credential', userId: id, password: passwordHash });
      return id;
    });
  }

  /** Whoever else makes a first teacher waits until this transaction has ended. */
  async function asFirst(tx: Transaction) {
    await tx.execute(sql`select pg_advisory_xact_lock(${FIRST_TEACHER})`);
    return (await tx.$count(schema.user, eq(schema.user.role, 'teacher'))) === 0
      ? { standing: 'owner' as const }
      : null;
  }
  const asIs = (standing: Standing | null) => () => Promise.resolve({ standing });

  async function created(account: Promise<string | null>): Promise<string> {
    const id = await account;
    if (id === null) throw new Error('An account that anybody may have was not made.');
    return id;
  }

  async function signed(call: () => Promise<{ token: string | null } | null>): Promise<SignedIn | null> {
    try {
      const answer = await call();
      if (!answer?.token) return null;
      const [row] = await db.select().from(schema.session).where(eq(schema.session.token, answer.token));
      return row ? { token: row.token, expiresAt: row.expiresAt } : null;
    } catch {
      return null;
    }
  }

  const accounts = openAccounts(db, auth);
  return {
    accounts,
    createTeacher: (name, email, password, standing = 'teacher') =>
      created(createUser('teacher', name, email.toLowerCase(), password, null, asIs(standing))),
    createFirstTeacher: (name, email, password) =>
      createUser('teacher', name, email.toLowerCase(), password, null, asFirst),
    createInvited: (name, email, password, may) =>
      createUser('teacher', name, email.toLowerCase(), password, null, async (tx, id) => {
        const standing = await may(tx, id);
        return standing && { standing };
      }),
    createStudent: (name, classCode, personalCode) =>
      created(
        createUser(
          'student',
          name,
          `${newId()}@students.invalid`,
          tidy(personalCode),
          studentName(classCode, personalCode),
          asIs(null),
        ),
      ),
    async reissueCode(userId, classCode, personalCode) {
      const userName = studentName(classCode, personalCode);
      const passwordHash = await hash(tidy(personalCode));
      await db.transaction(async (tx) => {
        await tx
          .update(schema.user)
          .set({ username: userName, displayUsername: userName })
          .where(eq(schema.user.id, userId));
        await tx.update(schema.account).set({ password: passwordHash }).where(eq(schema.account.userId, userId));
        await tx.delete(schema.session).where(eq(schema.session.userId, userId));
      });
    },
    async signInTeacher(email, password) {
      const came = await accounts.signIn(email, password);
      return came === 'second' ? null : came;
    },
    signInStudent: (classCode, personalCode) =>
      signed(() =>
        auth.api.signInUsername({
          body: { username: studentName(classCode, personalCode), password: tidy(personalCode) },
        }),
      ),
    async userOf(headers) {
      const found = await auth.api.getSession({ headers });
      if (!found) return null;
      const { role, standing } = found.user as { role?: string; standing?: Standing | null };
      const { id, name } = found.user;
      return { id, name, role: role === 'teacher' ? 'teacher' : 'student', standing: standing ?? null };
    },
    async signOut(headers) {
      const found = await auth.api.getSession({ headers });
      if (found) await db.delete(schema.session).where(eq(schema.session.token, found.session.token));
    },
    comparable: (of) => ('class' in of ? { class: tidy(of.class) } : { teacher: of.teacher.toLowerCase() }),
    mark: (text) => createHmac('sha256', secret).update(text).digest('hex').slice(0, 32),
    async cookie(token) {
      const context = await auth.$context;
      const signature = createHmac('sha256', context.secret).update(token).digest('base64');
      return { name: context.authCookies.sessionToken.name, value: `${token}.${signature}` };
    },
  };
}
