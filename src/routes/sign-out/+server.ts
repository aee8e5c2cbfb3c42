import { redirect } from '@sveltejs/kit';
import { askAuth } from '$lib/server/people/ask-auth';
import type { RequestHandler } from './$types';

/** Ends the session on the server, not only in the browser. */
export const POST: RequestHandler = async (event) => {
	await askAuth(event, '/sign-out');
	redirect(303, '/sign-in');
};
