/** Tables of the sign-in library, in the shapes that it asks for. */
import { sql } from 'drizzle-orm';
import { boolean, check, index, integer, pgTable, text } from 'drizzle-orm/pg-core';
import { at, belongsTo, created, oneOf } from './columns';

export const ROLES = ['teacher', 'student'] as const;

/** What those who teach may do: the owner also looks after the accounts of others; an assistant looks and drafts. */
export const STANDINGS = ['owner', 'teacher', 'assistant'] as const;
export type Standing = (typeof STANDINGS)[number];

export const user = pgTable(
  'user',
  {
    id: text('id').primaryKey(),
    name: text('name').notNull(),
    email: text('email').notNull().unique(),
    emailVerified: boolean('email_verified').notNull().default(false),
    image: text('image'),
    createdAt: created(),
    updatedAt: at('updated_at').notNull().defaultNow(),
    username: text('username').unique(),
    displayUsername: text('display_username'),
    role: text('role', { enum: ROLES }).notNull().default('student'),
    /** Null of students. */
    standing: text('standing', { enum: STANDINGS }),
    /** Whether a code of an authenticator is asked for besides the password. */
    twoFactorEnabled: boolean('two_factor_enabled').notNull().default(false),
  },
  (t) => [
    check('user_role', oneOf(t.role, ROLES)),
    check('user_standing', sql`(${t.role} = 'teacher') = (${t.standing} is not null)`),
    check('user_standing_known', sql`${t.standing} is null or ${oneOf(t.standing, STANDINGS)}`),
  ],
);

export const session = pgTable(
  'session',
  {
    id: text('id').primaryKey(),
    expiresAt: at('expires_at').notNull(),
    token: text('token').notNull().unique(),
    createdAt: created(),
    updatedAt: at('updated_at').notNull().defaultNow(),
    ipAddress: text('ip_address'),
    userAgent: text('user_agent'),
    userId: belongsTo('user_id', () => user.id),
  },
  (t) => [index('session_user').on(t.userId)],
);

export const account = pgTable(
  'account',
  {
    id: text('id').primaryKey(),
    accountId: text('account_id').notNull(),
    providerId: text('provider_id').notNull(),
    userId: belongsTo('user_id', () => user.id),
    accessToken: text('access_token'),
    refreshToken: text('refresh_token'),
    idToken: text('id_token'),
    accessTokenExpiresAt: at('access_token_expires_at'),
    refreshTokenExpiresAt: at('refresh_token_expires_at'),
    scope: text('scope'),
    password: text('password'),
    createdAt: created(),
    updatedAt: at('updated_at').notNull().defaultNow(),
  },
  (t) => [index('account_user').on(t.userId)],
);

export const verification = pgTable('verification', {
  id: text('id').primaryKey(),
  identifier: text('identifier').notNull(),
  value: text('value').notNull(),
  expiresAt: at('expires_at').notNull(),
  createdAt: created(),
  updatedAt: at('updated_at').notNull().defaultNow(),
});

/** Second steps of signing in; what is secret is stored enciphered. */
export const twoFactor = pgTable(
  'two_factor',
  {
    id: text('id').primaryKey(),
    secret: text('secret').notNull(),
    backupCodes: text('backup_codes').notNull(),
    userId: belongsTo('user_id', () => user.id),
    /** Whether a code of it was typed in once: until then nobody is asked for one. */
    verified: boolean('verified').notNull().default(false),
    failedVerificationCount: integer('failed_verification_count').notNull().default(0),
    lockedUntil: at('locked_until'),
  },
  (t) => [index('two_factor_user').on(t.userId)],
);
