import type { RequestEvent } from '@sveltejs/kit';
import { parseSetCookieHeader, toCookieOptions } from 'better-auth/cookies';
import { CLIENT_HEADER } from './auth';

/**
 * Has the sign-in library answer a request of its own through its handler, so that its rate limit counts, and hands its cookies
 * on.
 * @param path after `/api/auth`
 */
export async function askAuth(event: RequestEvent, path: string, body: object = {}): Promise<Response> {
	const { app } = event.locals;
	const request = new Request(new URL(`/api/auth${path}`, event.url), {
		method: 'POST',
		headers: {
			'content-type': 'application/json',
			origin: event.url.origin,
			cookie: event.request.headers.get('cookie') ?? '',
			'user-agent': (event.request.headers.get('user-agent') ?? '').slice(0, 300),
			[CLIENT_HEADER]: event.getClientAddress()
		},
		body: JSON.stringify(body)
	});
	const response = await app.auth.handler(request);
	for (const [name, cookie] of parseSetCookieHeader(response.headers.getSetCookie().join(', ')))
		event.cookies.set(name, cookie.value, {
			...toCookieOptions(cookie),
			path: cookie.path ?? '/',
			secure: cookie.secure ?? false
		});
	return response;
}
