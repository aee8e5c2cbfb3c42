import { betterAuth } from 'better-auth';
import type { Books } from '../platform/db/open';
import { authStore } from './auth-store';
import { LEAST_PASSWORD } from './check-password';

/** Hours after which a session ends, whatever is done in it: a working day. */
const SESSION_HOURS = 12;
/** Set by the server from the connection itself, never taken from the caller. */
export const CLIENT_HEADER = 'x-odd-penny-client';
/** Attempts to sign in from one address in a minute, right or wrong: an office in the morning; wrong ones are counted in `attempts`. */
const SIGN_IN_LIMIT = 100;

/** Sign-in by e-mail and password. Nobody signs up by themselves: people are added by a supervisor. */
export function openAuth(books: Books, secret: string, secure: boolean) {
	return betterAuth({
		secret,
		basePath: '/api/auth',
		database: authStore(books),
		emailAndPassword: { enabled: true, disableSignUp: true, minPasswordLength: LEAST_PASSWORD },
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
			storage: 'memory',
			window: 60,
			max: 100,
			customRules: { '/sign-in/email': { window: 60, max: SIGN_IN_LIMIT } }
		},
		advanced: {
			// Its name has browsers take it from this host alone, over TLS (RFC 6265bis, 4.1.3; ASVS 4.0.3, 3.4.4).
			useSecureCookies: false,
			cookiePrefix: secure ? '__Host-odd-penny' : 'odd-penny',
			defaultCookieAttributes: { secure },
			ipAddress: { ipAddressHeaders: [CLIENT_HEADER] }
		},
		telemetry: { enabled: false },
		logger: { level: 'error' }
	});
}

export type Auth = ReturnType<typeof openAuth>;
