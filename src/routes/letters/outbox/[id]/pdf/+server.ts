import { error } from '@sveltejs/kit';
import { look } from '$lib/server/http/refuse';
import { lookAtSent } from '$lib/server/looks/letters';
import type { RequestHandler } from './$types';

/** The paper that travelled with a letter. */
export const GET: RequestHandler = async ({ locals, params }) => {
	const viewer = { who: locals.who!, today: await locals.app.today() };
	const found = await look(lookAtSent(locals.app.books.db, Number(params.id), viewer));
	if (!found) error(404, 'There is no such letter.');
	const name = `${found.letter.kind}-${found.code}-${found.letter.date}.pdf`;
	return new Response(new Uint8Array(found.letter.pdf), {
		headers: { 'content-type': 'application/pdf', 'content-disposition': `inline; filename="${name}"` }
	});
};
