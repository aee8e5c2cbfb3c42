import { getSessionCookie } from 'better-auth/cookies';
import type { Person } from '../act/person';
import { COOKIE_PREFIX, type Auth } from './auth';

/**
 * The person whose session the cookies of a request carry, or null: none, run out, or shut out since. The token is long and made by
 * chance, so knowing it is proof; its signature is for those who keep sessions in cookies alone.
 */
export async function whoIsAsking(auth: Auth, headers: Headers, now = new Date()): Promise<Person | null> {
	const token = getSessionCookie(headers, { cookiePrefix: COOKIE_PREFIX })?.split('.')[0];
	if (!token) return null;
	const { internalAdapter } = await auth.$context;
	const found = await internalAdapter.findSession(token);
	if (!found || found.session.expiresAt <= now) return null;
	const { id, name, role, active } = found.user as typeof found.user & {
		role: Person['role'];
		active: boolean;
	};
	return active ? { id, name, role } : null;
}
