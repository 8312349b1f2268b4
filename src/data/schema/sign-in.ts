/** Tables of the sign-in library, in the shapes that it asks for. */
import { boolean, check, index, pgTable, text } from 'drizzle-orm/pg-core';
import { at, belongsTo, created, oneOf } from './columns';

export const ROLES = ['teacher', 'student'] as const;

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
  },
  (t) => [check('user_role', oneOf(t.role, ROLES))],
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
