import { randomUUID } from 'node:crypto';
import {
	isRedirect,
	redirect,
	type Handle,
	type HandleServerError,
	type RequestEvent,
	type ServerInit
} from '@sveltejs/kit';
import { openApp, type App } from '$lib/server/app';
import { nobodyYet } from '$lib/server/people/commands/people';
import { endSessions } from '$lib/server/people/end-sessions';
import { signInStage } from '$lib/server/people/store/sign-in-stage';
import { noteEvent } from '$lib/server/people/note-event';
import { whoIsAsking } from '$lib/server/people/who-is-asking';
import { leaveNothingUnread } from '$lib/server/platform/http/leave-nothing-unread';
import { refusedBody } from '$lib/server/platform/http/body-limit';
import { discardFiles } from '$lib/server/platform/http/read-multipart';
import { oldAddress } from '$lib/server/platform/http/old-address';
import { RequestRates } from '$lib/server/platform/http/request-rates';
import { config } from '$lib/server/platform/config';
import { logFailure, logRequest } from '$lib/server/platform/log';
import { answeredPile } from '$lib/server/services/answers/answers';

const OPEN_TO_ALL = new Set([
	'/sign-in',
	'/set-password',
	'/first-start',
	'/first-start/demo-books',
	'/health'
]);
/** Where somebody goes who typed their password and has a second factor, and where somebody sets one up whom the firm asks for it. */
const HALFWAY = new Set(['/sign-in/second-step', '/api/passkey', '/sign-out']);
const SET_UP = new Set(['/me/second-step', '/api/passkey', '/api/confirm', '/sign-out']);
let app: App;
let rates: RequestRates;

export const init: ServerInit = async () => {
	app = await openApp();
	rates = new RequestRates(config().rateLimit);
	process.once('sveltekit:shutdown', () => void app.close());
};

export const handle: Handle = async ({ event, resolve }) => {
	const began = performance.now();
	event.locals.app = app;
	const found = await whoIsAsking(app.auth, event.request.headers);
	const asking = found && (await inUse(found)) ? found : null;
	const stage =
		asking &&
		(await signInStage(app.books.db, {
			...{ userId: asking.who.id, role: asking.who.role, sessionId: asking.sessionId }
		}));
	event.locals.who = asking && stage !== 'second-factor' ? asking.who : null;
	event.locals.halfway = asking && stage === 'second-factor' ? asking.who : null;
	event.locals.mustSetUp = stage === 'set-up';
	event.locals.sessionId = asking?.sessionId ?? null;
	const log = (status: number) =>
		logRequest({
			method: event.request.method,
			route: event.route.id,
			status,
			took: Math.round(performance.now() - began),
			person: event.locals.who?.id ?? null
		});
	const response = await answer(event, resolve)
		.catch((thrown: unknown) => {
			if (isRedirect(thrown)) log(thrown.status);
			throw thrown;
		})
		.finally(() => event.locals.form && discardFiles(event.locals.form));
	if (event.locals.who && (event.locals.refused || response.status === 403))
		noteEvent(app.books, {
			...{ kind: 'act-refused', personId: event.locals.who.id, origin: event.getClientAddress() },
			about: `${event.route.id ?? ''}${event.url.search.startsWith('?/') ? event.url.search.slice(0, 40) : ''}`
		});
	// What was done may change every answer: they are made while the person still looks at what was done.
	if (event.request.method === 'POST' && event.locals.who) answeredPile(app.books.db).catch(() => undefined);
	await leaveNothingUnread(event.request, response.headers);
	response.headers.set('x-content-type-options', 'nosniff');
	response.headers.set('referrer-policy', 'same-origin');
	response.headers.set('x-frame-options', 'SAMEORIGIN');
	if (!response.headers.has('cache-control')) response.headers.set('cache-control', 'private, no-store');
	log(response.status);
	return response;
};

/** Who asks, for counting: a person, or an address; one name for all whose address a proxy does not tell. */
function askerOf(event: RequestEvent): string {
	if (event.locals.who) return event.locals.who.id;
	try {
		return event.getClientAddress();
	} catch {
		return 'no address';
	}
}

/** Whether a session was used lately; one that lay idle too long ends. */
async function inUse({ who, sessionId }: { who: { id: string }; sessionId: string }): Promise<boolean> {
	if (app.idle.use(sessionId, Date.now())) return true;
	await endSessions(app.books, who.id, { id: sessionId });
	return false;
}

/**
 * Answers a request, or leads elsewhere: it moved, or whoever asks has to sign in first. That is thrown and not returned, for the
 * framework then leads a page that is open already, too.
 */
async function answer(event: RequestEvent, resolve: Parameters<Handle>[0]['resolve']): Promise<Response> {
	const { url, request, locals } = event;
	const wait = url.pathname === '/health' ? 0 : rates.take(askerOf(event), Date.now());
	if (wait > 0)
		return new Response('That is more than a person asks for. Wait a few seconds, and go on.', {
			...{
				status: 429,
				headers: { 'content-type': 'text/plain', 'retry-after': String(Math.ceil(wait / 1000)) }
			}
		});
	const refused = refusedBody(request, locals.who !== null);
	if (refused !== null)
		return new Response(refused === 413 ? 'That is too large.' : 'Say how large it is.', {
			...{ status: refused, headers: { 'content-type': 'text/plain', connection: 'close' } }
		});
	const moved = request.method === 'GET' ? oldAddress(url) : null;
	if (moved) redirect(308, moved);
	const from = `to=${encodeURIComponent(url.pathname + url.search)}`;
	if (locals.mustSetUp && !SET_UP.has(url.pathname)) {
		if (request.method !== 'GET') return new Response('Set up your second step first.', { status: 401 });
		redirect(303, `/me/second-step?${from}`);
	}
	if (!locals.who && !OPEN_TO_ALL.has(url.pathname) && !(locals.halfway && HALFWAY.has(url.pathname))) {
		if (await nobodyYet(app.books.db)) redirect(303, '/first-start');
		if (request.method !== 'GET' || url.pathname.startsWith('/api/'))
			return new Response('Sign in first.', { status: 401, headers: { 'content-type': 'text/plain' } });
		redirect(303, locals.halfway ? `/sign-in/second-step?${from}` : `/sign-in?${from}`);
	}
	return resolve(event, { preload: ({ type }) => type === 'js' || type === 'css' || type === 'font' });
}

export const handleError: HandleServerError = ({ error, event, status, message }) => {
	if (status === 404) return { message: 'There is no such page.' };
	if (status < 500) return { message };
	const failure = randomUUID().slice(0, 8);
	logFailure(`${event.request.method} ${event.route.id ?? ''}`, error, { failure });
	return {
		message:
			'Something went wrong on our side. Nothing was posted; try again, and tell your supervisor if it stays.',
		failure
	};
};
