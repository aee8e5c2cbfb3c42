import type { RequestEvent } from '@sveltejs/kit';
import { logRefusedSignIn } from '../platform/log';
import { askAuth } from './ask-auth';

/** Signs a person in; every refusal is logged. */
export async function signIn(
	event: RequestEvent,
	email: string,
	password: string
): Promise<{ ok: boolean; message: string }> {
	const { attempts } = event.locals.app;
	const now = Date.now();
	const mayTry = attempts.mayTry(email, now);
	const { ok, status } = mayTry
		? await askAuth(event, '/sign-in/email', { email, password })
		: { ok: false, status: 429 };
	if (ok) attempts.succeeded(email);
	if (ok) return { ok: true, message: '' };
	const tooMany = status === 429;
	if (!tooMany) attempts.failed(email, now);
	logRefusedSignIn({ from: event.getClientAddress(), because: tooMany ? 'too-many' : 'wrong' });
	return {
		ok: false,
		message: tooMany
			? mayTry
				? 'Too many attempts. Wait a minute and try again.'
				: 'Too many attempts with this address. Wait a quarter of an hour, or ask for a code.'
			: 'That address and password do not go together.'
	};
}
