import type { RequestEvent } from '@sveltejs/kit';
import { CLIENT_HEADER, SESSION_COOKIE } from './auth';

/** Signs a person in through the library's own handler, so that its rate limit counts, and hands its cookies on. */
export async function signIn(
	event: RequestEvent,
	email: string,
	password: string
): Promise<{ ok: boolean; message: string }> {
	const { app } = event.locals;
	const request = new Request(new URL('/api/auth/sign-in/email', event.url), {
		method: 'POST',
		headers: {
			'content-type': 'application/json',
			origin: event.url.origin,
			[CLIENT_HEADER]: event.getClientAddress()
		},
		body: JSON.stringify({ email, password })
	});
	const response = await app.books.turn(() => app.auth.handler(request));
	if (response.status === 429)
		return { ok: false, message: 'Too many attempts. Wait a minute and try again.' };
	if (!response.ok) return { ok: false, message: 'That address and password do not go together.' };
	for (const cookie of response.headers.getSetCookie()) {
		const [pair] = cookie.split(';');
		const at = pair!.indexOf('=');
		const name = pair!.slice(0, at);
		if (!name.endsWith(SESSION_COOKIE)) continue;
		const secure = name.startsWith('__Secure-');
		event.cookies.set(name, decodeURIComponent(pair!.slice(at + 1)), {
			path: '/',
			httpOnly: true,
			sameSite: 'lax',
			secure,
			maxAge: 12 * 3600
		});
	}
	return { ok: true, message: '' };
}
