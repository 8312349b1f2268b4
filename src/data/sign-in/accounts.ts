/**
 * What somebody who teaches looks after of their account: the password, where they are signed in, and a second step with a code of an
 * authenticator. The owner of a studio gives others a new password; nobody sees one that is in use.
 */
import { hash } from '@node-rs/argon2';
import { APIError } from 'better-auth';
import { createHash } from 'node:crypto';
import { and, desc, eq, gt, lt } from 'drizzle-orm';
import type { Database } from '../database/engine';
import * as schema from '../schema/tables';
import type { Inner, SignedIn } from './inner';

/** A place where somebody is signed in. */
export interface SignedInAt {
  readonly since: Date;
  readonly until: Date;
  /** Whether it is the one that asks. */
  readonly isThis: boolean;
}

/** A second step that was begun: what an authenticator is told, and codes for when it is lost, each for once. */
export interface SecondStep {
  readonly uri: string;
  readonly spare: readonly string[];
}

/** Those that ask with headers are about whoever is signed in by them; null is a password or code that is not right. */
export interface Accounts {
  /** `second` where a code of their authenticator, or one of their spare codes, is missing or wrong. */
  signIn(email: string, password: string, code?: string): Promise<SignedIn | 'second' | null>;
  /** Ends all other sessions, and goes on with a new one. */
  changePassword(headers: Headers, old: string, next: string): Promise<SignedIn | null>;
  sessions(headers: Headers): Promise<SignedInAt[]>;
  /** Ends all sessions of somebody. */
  signOutEverywhere(userId: string): Promise<void>;
  hasSecondStep(userId: string): Promise<boolean>;
  /** Nothing is asked for until `confirmSecondStep` saw a code of it. */
  beginSecondStep(headers: Headers, password: string): Promise<SecondStep | null>;
  confirmSecondStep(headers: Headers, code: string): Promise<SignedIn | null>;
  endSecondStep(headers: Headers, password: string): Promise<SignedIn | null>;
  /** Another password for somebody who lost theirs; their second step and all sessions end. */
  resetPassword(userId: string, password: string): Promise<void>;
  /** Forgets what was begun at the door and never ended. */
  tidy(): Promise<void>;
}

/** What the library refused, as null; what failed is thrown. */
async function orNull<T>(asked: Promise<T>): Promise<T | null> {
  try {
    return await asked;
  } catch (error) {
    if (error instanceof APIError && error.statusCode < 500) return null;
    throw error;
  }
}

/** As long as an authenticator's code may be right, and a little more: the half minutes before and after its own. */
const CODE_LASTS_MS = 120_000;

/** Cookies that were set, as they are sent back. */
const cookiesOf = (headers: Headers): string =>
  headers
    .getSetCookie()
    .map((cookie) => cookie.split(';')[0])
    .join('; ');

export function openAccounts(db: Database, auth: Inner): Accounts {
  async function sessionBy(token: string): Promise<SignedIn | null> {
    const [row] = await db.select().from(schema.session).where(eq(schema.session.token, token));
    return row ? { token: row.token, expiresAt: row.expiresAt } : null;
  }

  /** The session that an answer signed somebody in by. */
  async function sessionIn(headers: Headers): Promise<SignedIn | null> {
    const { name } = (await auth.$context).authCookies.sessionToken;
    const set = headers.getSetCookie().find((cookie) => cookie.startsWith(`${name}=`));
    const value = set?.slice(name.length + 1).split(';')[0] ?? '';
    return sessionBy(decodeURIComponent(value).split('.')[0] ?? '');
  }

  /** Whether nobody came in by this code before: whoever saw it typed in has no use for it. */
  async function isFirstUse({ token }: SignedIn, code: string): Promise<boolean> {
    const [own] = await db.select().from(schema.session).where(eq(schema.session.token, token));
    const id = createHash('sha256').update(`${own?.userId} ${code}`).digest('hex');
    const expiresAt = new Date(Date.now() + CODE_LASTS_MS);
    const ofNow = { id, identifier: 'a code that was used', value: '', expiresAt };
    await db
      .delete(schema.verification)
      .where(and(eq(schema.verification.id, id), lt(schema.verification.expiresAt, new Date())));
    const used = await db.insert(schema.verification).values(ofNow).onConflictDoNothing().returning();
    if (used.length === 0) await db.delete(schema.session).where(eq(schema.session.token, token));
    return used.length > 0;
  }

  async function second(headers: Headers, code: string): Promise<SignedIn | null> {
    const asked = { headers: new Headers({ cookie: cookiesOf(headers) }), returnHeaders: true as const };
    const digits = code.replace(/\s/g, '');
    const done = /^\d{6}$/.test(digits)
      ? await orNull(auth.api.verifyTOTP({ ...asked, body: { code: digits } }))
      : await orNull(auth.api.verifyBackupCode({ ...asked, body: { code: code.trim() } }));
    const signedIn = done && (await sessionIn(done.headers));
    return signedIn && (await isFirstUse(signedIn, digits)) ? signedIn : null;
  }

  return {
    async signIn(email, password, code = '') {
      const came = await orNull(auth.api.signInEmail({ body: { email, password }, returnHeaders: true }));
      if (!came) return null;
      if (!('twoFactorRedirect' in came.response)) return sessionIn(came.headers);
      return (code.trim() === '' ? null : await second(came.headers, code)) ?? 'second';
    },
    async changePassword(headers, currentPassword, newPassword) {
      const body = { currentPassword, newPassword, revokeOtherSessions: true };
      const done = await orNull(auth.api.changePassword({ headers, body }));
      return done?.token ? sessionBy(done.token) : null;
    },
    async sessions(headers) {
      const found = await auth.api.getSession({ headers });
      if (!found) return [];
      const own = and(eq(schema.session.userId, found.user.id), gt(schema.session.expiresAt, new Date()));
      const rows = await db.select().from(schema.session).where(own).orderBy(desc(schema.session.createdAt));
      return rows.map(({ createdAt, expiresAt, token }) => ({
        ...{ since: createdAt, until: expiresAt, isThis: token === found.session.token },
      }));
    },
    async signOutEverywhere(userId) {
      await db.delete(schema.session).where(eq(schema.session.userId, userId));
    },
    async hasSecondStep(userId) {
      const [row] = await db
        .select({ isOn: schema.user.twoFactorEnabled })
        .from(schema.user)
        .where(eq(schema.user.id, userId));
      return row?.isOn ?? false;
    },
    async beginSecondStep(headers, password) {
      const begun = await orNull(auth.api.enableTwoFactor({ headers, body: { password, method: 'totp' } }));
      return begun && 'totpURI' in begun ? { uri: begun.totpURI, spare: begun.backupCodes } : null;
    },
    async confirmSecondStep(headers, code) {
      const body = { code: code.replace(/\s/g, '') };
      const done = await orNull(auth.api.verifyTOTP({ headers, body, returnHeaders: true }));
      return done && sessionIn(done.headers);
    },
    async endSecondStep(headers, password) {
      const done = await orNull(auth.api.disableTwoFactor({ headers, body: { password }, returnHeaders: true }));
      return done && sessionIn(done.headers);
    },
    async resetPassword(userId, password) {
      const passwordHash = await hash(password);
      await db.transaction(async (tx) => {
        await tx.update(schema.account).set({ password: passwordHash }).where(eq(schema.account.userId, userId));
        await tx.delete(schema.twoFactor).where(eq(schema.twoFactor.userId, userId));
        await tx.update(schema.user).set({ twoFactorEnabled: false }).where(eq(schema.user.id, userId));
        await tx.delete(schema.session).where(eq(schema.session.userId, userId));
      });
    },
    async tidy() {
      const now = new Date();
      await db.delete(schema.verification).where(lt(schema.verification.expiresAt, now));
      await db.delete(schema.session).where(lt(schema.session.expiresAt, now));
    },
  };
}
