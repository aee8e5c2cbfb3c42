import { redirect } from '@sveltejs/kit';
import { askAuth } from '$lib/server/people/ask-auth';
import { noteEvent } from '$lib/server/people/note-event';
import type { RequestHandler } from './$types';

/** Ends the session on the server, not only in the browser. */
export const POST: RequestHandler = async (event) => {
	const { app, who } = event.locals;
	await askAuth(event, '/sign-out');
	if (who) noteEvent(app.books, { kind: 'signed-out', personId: who.id, origin: event.getClientAddress() });
	redirect(303, '/sign-in');
};
