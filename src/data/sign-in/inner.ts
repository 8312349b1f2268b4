/** The sign-in library, set up for a studio: its tables, how passwords are kept, how long one stays signed in. */
import { log } from '@/watch/log';
import { hash, verify } from '@node-rs/argon2';
import { betterAuth } from 'better-auth';
import { drizzleAdapter } from 'better-auth/adapters/drizzle';
import { twoFactor, username } from 'better-auth/plugins';
import { eq } from 'drizzle-orm';
import type { Database } from '../database/engine';
import * as schema from '../schema/tables';

const TEACHER_SESSION_HOURS = 12;
const STUDENT_SESSION_DAYS = 14;
const PASSWORD_LENGTH = { least: 8, most: 200 } as const;
const HOUR = 3_600_000;

export interface SignedIn {
  readonly token: string;
  readonly expiresAt: Date;
}

export function openInner(db: Database, secret: string) {
  return betterAuth({
    secret,
    baseURL: 'http://localhost',
    telemetry: { enabled: false },
    // A mistyped code is nothing to log.
    // What it would say beside the message may name who signs in.
    logger: { level: 'error', log: (_, message) => log.error(message) },
    database: drizzleAdapter(db, { provider: 'pg', schema }),
    emailAndPassword: {
      enabled: true,
      disableSignUp: true,
      minPasswordLength: PASSWORD_LENGTH.least,
      maxPasswordLength: PASSWORD_LENGTH.most,
      password: { hash: (p) => hash(p), verify: ({ hash: h, password }) => verify(h, password) },
    },
    session: { expiresIn: STUDENT_SESSION_DAYS * 24 * 3600, disableSessionRefresh: true },
    user: {
      additionalFields: {
        role: { type: 'string', required: true, input: false, defaultValue: 'student' },
        standing: { type: 'string', required: false, input: false },
      },
    },
    // Tries are counted where codes are typed in, by class and address.
    rateLimit: { enabled: false },
    plugins: [username({ minUsernameLength: 64, maxUsernameLength: 64 }), twoFactor({ issuer: 'Fair Grey' })],
    databaseHooks: {
      session: {
        create: {
          before: async (session) => {
            const [who] = await db
              .select({ role: schema.user.role })
              .from(schema.user)
              .where(eq(schema.user.id, session.userId));
            if (who?.role !== 'teacher') return { data: session };
            return { data: { ...session, expiresAt: new Date(Date.now() + TEACHER_SESSION_HOURS * HOUR) } };
          },
        },
      },
    },
  });
}
export type Inner = ReturnType<typeof openInner>;
