import type { RequestEvent } from '@sveltejs/kit';
import { logRefusedSignIn } from '../platform/log';
import { askAuth } from './ask-auth';

/** Signs a person in; every refusal is logged. */
export async function signIn(
	event: RequestEvent,
	email: string,
	password: string
): Promise<{ ok: boolean; message: string }> {
	const { ok, status } = await askAuth(event, '/sign-in/email', { email, password });
	if (ok) return { ok: true, message: '' };
	const tooMany = status === 429;
	logRefusedSignIn({ from: event.getClientAddress(), because: tooMany ? 'too-many' : 'wrong' });
	return {
		ok: false,
		message: tooMany
			? 'Too many attempts. Wait a minute and try again.'
			: 'That address and password do not go together.'
	};
}
