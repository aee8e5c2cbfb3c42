import { index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { act } from './acts';

/** Tables of the sign-in library, in its own column names, and our role beside them. */
export const user = sqliteTable('user', {
	id: text('id').primaryKey(),
	name: text('name').notNull(),
	email: text('email').notNull().unique(),
	emailVerified: integer('email_verified', { mode: 'boolean' }).notNull().default(false),
	image: text('image'),
	role: text('role', { enum: ['clerk', 'supervisor', 'reader'] })
		.notNull()
		.default('reader'),
	active: integer('active', { mode: 'boolean' }).notNull().default(true),
	createdAt: integer('created_at', { mode: 'timestamp' }).notNull(),
	updatedAt: integer('updated_at', { mode: 'timestamp' }).notNull()
});

export const session = sqliteTable('session', {
	id: text('id').primaryKey(),
	expiresAt: integer('expires_at', { mode: 'timestamp' }).notNull(),
	token: text('token').notNull().unique(),
	createdAt: integer('created_at', { mode: 'timestamp' }).notNull(),
	updatedAt: integer('updated_at', { mode: 'timestamp' }).notNull(),
	ipAddress: text('ip_address'),
	userAgent: text('user_agent'),
	userId: text('user_id')
		.notNull()
		.references(() => user.id, { onDelete: 'cascade' }),
	/** When the person showed their second factor in it; who has one and did not is not in yet. */
	secondFactorAt: integer('second_factor_at', { mode: 'timestamp' })
});

export const credential = sqliteTable('credential', {
	id: text('id').primaryKey(),
	accountId: text('account_id').notNull(),
	providerId: text('provider_id').notNull(),
	userId: text('user_id')
		.notNull()
		.references(() => user.id, { onDelete: 'cascade' }),
	accessToken: text('access_token'),
	refreshToken: text('refresh_token'),
	idToken: text('id_token'),
	accessTokenExpiresAt: integer('access_token_expires_at', { mode: 'timestamp' }),
	refreshTokenExpiresAt: integer('refresh_token_expires_at', { mode: 'timestamp' }),
	scope: text('scope'),
	password: text('password'),
	createdAt: integer('created_at', { mode: 'timestamp' }).notNull(),
	updatedAt: integer('updated_at', { mode: 'timestamp' }).notNull()
});

export const verification = sqliteTable('verification', {
	id: text('id').primaryKey(),
	identifier: text('identifier').notNull(),
	value: text('value').notNull(),
	expiresAt: integer('expires_at', { mode: 'timestamp' }).notNull(),
	createdAt: integer('created_at', { mode: 'timestamp' }).notNull(),
	updatedAt: integer('updated_at', { mode: 'timestamp' }).notNull()
});

/** By which act something of a person's was made, and whose it is. */
function byActFor() {
	return {
		actId: integer('act_id')
			.notNull()
			.references(() => act.id),
		userId: text('user_id')
			.notNull()
			.references(() => user.id, { onDelete: 'cascade' })
	};
}

/** A code by which a person sets a password of their own. The code itself is kept nowhere. */
export const signInCode = sqliteTable(
	'sign_in_code',
	{
		id: integer('id').primaryKey(),
		...byActFor(),
		expiresAt: integer('expires_at', { mode: 'timestamp' }).notNull(),
		/** Whether it went by mail to who asked for it; else a supervisor handed it over. */
		mailed: integer('mailed', { mode: 'boolean' }).notNull().default(false),
		/** Since when it is good no longer: used, replaced by another, or its person was shut out. */
		endedAt: integer('ended_at', { mode: 'timestamp' })
	},
	(t) => [index('sign_in_code_user').on(t.userId)]
);

/** What a person shows beside the password: an app that makes codes, or a passkey. */
export const secondFactor = sqliteTable(
	'second_factor',
	{
		id: integer('id').primaryKey(),
		...byActFor(),
		kind: text('kind', { enum: ['app', 'passkey'] }).notNull(),
		/** What the person calls it. */
		name: text('name').notNull(),
		/** Of an app, from what its key is worked out together with the application's secret; of a passkey, its own id. */
		mark: text('mark').notNull().unique(),
		/** Of a passkey: its public key (COSE, base64url). */
		publicKey: text('public_key'),
		/** How its device can be reached, as the browser says (WebAuthn, 5.8.4); a list as JSON. */
		transports: text('transports'),
		/** The step of the last code, or the passkey's own count: nothing is taken that does not go beyond it. */
		counter: integer('counter').notNull(),
		endedAt: integer('ended_at', { mode: 'timestamp' })
	},
	(t) => [index('second_factor_user').on(t.userId)]
);

/** A code that is good once in place of a second factor that was lost. The code itself is kept nowhere. */
export const recoveryCode = sqliteTable(
	'recovery_code',
	{
		id: integer('id').primaryKey(),
		...byActFor(),
		endedAt: integer('ended_at', { mode: 'timestamp' })
	},
	(t) => [index('recovery_code_user').on(t.userId)]
);
