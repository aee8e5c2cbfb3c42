import { redirect, type Handle, type HandleServerError, type ServerInit } from '@sveltejs/kit';
import { nobodyYet } from '$lib/server/acts/people';
import { openApp, type App } from '$lib/server/app';
import { oldAddress } from '$lib/server/http/old-address';
import { SESSION_COOKIE } from '$lib/server/http/auth';
import { answeredPile } from '$lib/server/looks/answers';
import { whoIsAsking } from '$lib/server/http/who-is-asking';

const OPEN_TO_ALL = new Set(['/sign-in', '/first-start', '/health']);
let app: App;

export const init: ServerInit = async () => {
	app = await openApp();
	process.once('sveltekit:shutdown', () => void app.close());
};

export const handle: Handle = async ({ event, resolve }) => {
	event.locals.app = app;
	const cookie = event.cookies.get(SESSION_COOKIE) ?? event.cookies.get(`__Secure-${SESSION_COOKIE}`);
	event.locals.who = await whoIsAsking(app.books.db, cookie, new Date());
	const { pathname } = event.url;
	const moved = event.request.method === 'GET' ? oldAddress(event.url) : null;
	if (moved) redirect(308, moved);
	if (!event.locals.who && !OPEN_TO_ALL.has(pathname)) {
		if (await nobodyYet(app.books.db)) redirect(303, '/first-start');
		if (event.request.method !== 'GET' || pathname.startsWith('/api/'))
			return new Response('Sign in first.', { status: 401, headers: { 'content-type': 'text/plain' } });
		redirect(303, `/sign-in?to=${encodeURIComponent(pathname + event.url.search)}`);
	}
	const response = await resolve(event, {
		preload: ({ type }) => type === 'js' || type === 'css' || type === 'font'
	});
	// What was done may change every answer: they are made while the person still looks at what was done.
	if (event.request.method === 'POST' && event.locals.who) answeredPile(app.books.db).catch(() => undefined);
	response.headers.set('x-content-type-options', 'nosniff');
	response.headers.set('referrer-policy', 'same-origin');
	response.headers.set('x-frame-options', 'SAMEORIGIN');
	if (!response.headers.has('cache-control')) response.headers.set('cache-control', 'private, no-store');
	return response;
};

export const handleError: HandleServerError = ({ error, status, message }) => {
	if (status === 404) return { message: 'There is no such page.' };
	console.error(error);
	return {
		message:
			status < 500
				? message
				: 'Something went wrong on our side. Nothing was posted; try again, and tell your supervisor if it stays.'
	};
};
