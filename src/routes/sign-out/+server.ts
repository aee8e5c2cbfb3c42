import { redirect } from '@sveltejs/kit';
import { eq } from 'drizzle-orm';
import { session } from '$lib/server/db/schema';
import { SESSION_COOKIE } from '$lib/server/http/auth';
import type { RequestHandler } from './$types';

/** Ends the session on the server, not only in the browser. */
export const POST: RequestHandler = async ({ locals, cookies }) => {
	for (const name of [SESSION_COOKIE, `__Secure-${SESSION_COOKIE}`]) {
		const token = cookies.get(name)?.split('.')[0];
		if (token) await locals.app.books.write((tx) => tx.delete(session).where(eq(session.token, token)));
		cookies.delete(name, { path: '/', secure: name.startsWith('__Secure-') });
	}
	redirect(303, '/sign-in');
};
