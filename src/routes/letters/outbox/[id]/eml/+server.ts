import { error } from '@sveltejs/kit';
import { look } from '$lib/server/http/refuse';
import { lookAtSent } from '$lib/server/looks/letters';
import type { RequestHandler } from './$types';

/** The message exactly as it was handed to the mail server. */
export const GET: RequestHandler = async ({ locals, params }) => {
	const viewer = { who: locals.who!, today: await locals.app.today() };
	const found = await look(lookAtSent(locals.app.books.db, Number(params.id), viewer));
	if (!found) error(404, 'There is no such letter.');
	const name = `${found.letter.kind}-${found.code}-${found.letter.date}.eml`;
	return new Response(new Uint8Array(found.eml), {
		headers: { 'content-type': 'message/rfc822', 'content-disposition': `attachment; filename="${name}"` }
	});
};
