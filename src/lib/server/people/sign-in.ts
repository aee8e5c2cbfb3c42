import type { RequestEvent } from '@sveltejs/kit';
import { eq } from 'drizzle-orm';
import { user } from '../platform/db/schema';
import { askAuth } from './ask-auth';
import { noteEvent } from './note-event';

/** Signs a person in; that, and every refusal, is kept among the events of security. */
export async function signIn(
	event: RequestEvent,
	email: string,
	password: string
): Promise<{ ok: boolean; message: string }> {
	const { attempts, books } = event.locals.app;
	const now = Date.now();
	const origin = event.getClientAddress();
	const mayTry = attempts.mayTry(email, origin, now);
	const { ok, status } = mayTry
		? await askAuth(event, '/sign-in/email', { email, password })
		: { ok: false, status: 429 };
	const tooMany = status === 429;
	const known = await books.db.select({ id: user.id }).from(user).where(eq(user.email, email)).get();
	noteEvent(books, {
		kind: ok ? 'signed-in' : tooMany ? 'too-many-attempts' : 'sign-in-refused',
		...{ personId: known?.id ?? null, origin }
	});
	if (ok) {
		attempts.succeeded(email, origin);
		return { ok: true, message: '' };
	}
	if (!tooMany) attempts.failed(email, origin, now);
	return {
		ok: false,
		message: tooMany
			? mayTry
				? 'Too many attempts. Wait a minute and try again.'
				: 'Too many attempts with this address. Wait a quarter of an hour, or ask for a code.'
			: 'That address and password do not go together.'
	};
}
