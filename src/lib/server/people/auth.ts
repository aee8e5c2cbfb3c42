import { betterAuth } from 'better-auth';
import { drizzleAdapter } from 'better-auth/adapters/drizzle';
import type { Db } from '../platform/db/open';
import * as schema from '../platform/db/schema';

/** Hours after which a session ends, whatever is done in it: a working day. */
const SESSION_HOURS = 12;
/** Set by the server from the connection itself, never taken from the caller. */
export const CLIENT_HEADER = 'x-odd-penny-client';
export const COOKIE_PREFIX = 'odd-penny';
/** Attempts to sign in, by address and minute. */
export const SIGN_IN_LIMIT = 10;

/** Sign-in by e-mail and password. Nobody signs up by themselves: people are added by a supervisor. */
export function openAuth(db: Db, secret: string, secure: boolean) {
	return betterAuth({
		secret,
		basePath: '/api/auth',
		database: drizzleAdapter(db, { provider: 'sqlite', schema: { ...schema, account: schema.credential } }),
		emailAndPassword: { enabled: true, disableSignUp: true, minPasswordLength: 10 },
		user: {
			additionalFields: { role: { type: 'string', input: false }, active: { type: 'boolean', input: false } }
		},
		session: {
			expiresIn: SESSION_HOURS * 3600,
			disableSessionRefresh: true,
			cookieCache: { enabled: false }
		},
		rateLimit: {
			enabled: true,
			storage: 'database',
			modelName: 'rateLimit',
			window: 60,
			max: 100,
			customRules: { '/sign-in/email': { window: 60, max: SIGN_IN_LIMIT } }
		},
		advanced: {
			useSecureCookies: secure,
			cookiePrefix: COOKIE_PREFIX,
			ipAddress: { ipAddressHeaders: [CLIENT_HEADER] }
		},
		telemetry: { enabled: false },
		logger: { level: 'error' }
	});
}

export type Auth = ReturnType<typeof openAuth>;
