import { createHmac, timingSafeEqual } from 'node:crypto';
import { getSessionCookie } from 'better-auth/cookies';
import type { Person } from '../act/person';
import type { Auth } from './auth';

/**
 * The person, and the session, whose token the cookies of a request carry; null: none, not signed by this application, run out, or shut out since.
 */
export async function whoIsAsking(
	auth: Auth,
	headers: Headers,
	now = new Date()
): Promise<{ readonly who: Person; readonly sessionId: string } | null> {
	const { cookiePrefix } = auth.options.advanced;
	const cookie = getSessionCookie(headers, { cookiePrefix });
	if (!cookie) return null;
	const { internalAdapter, secret } = await auth.$context;
	const token = signedToken(cookie, secret);
	if (token === null) return null;
	const found = await internalAdapter.findSession(token);
	if (!found || found.session.expiresAt <= now) return null;
	const { id, name, role, active } = found.user as typeof found.user & {
		role: Person['role'];
		active: boolean;
	};
	return active ? { who: { id, name, role }, sessionId: found.session.id } : null;
}

/** The token of a cookie (`token.signature`), where its signature (HMAC-SHA256, base64; RFC 2104) is that of the secret; else null. */
function signedToken(cookie: string, secret: string): string | null {
	const at = cookie.lastIndexOf('.');
	if (at < 1) return null;
	const token = cookie.slice(0, at);
	const want = createHmac('sha256', secret).update(token).digest();
	const given = Buffer.from(cookie.slice(at + 1), 'base64');
	return given.length === want.length && timingSafeEqual(given, want) ? token : null;
}
