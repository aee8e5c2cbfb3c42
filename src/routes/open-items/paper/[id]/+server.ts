import { error } from '@sveltejs/kit';
import { look } from '$lib/server/http/refuse';
import { lookAtPaper } from '$lib/server/looks/new-document';
import { render } from '$lib/server/pdf/render';
import type { RequestHandler } from './$types';

/** A document as its PDF, made from what is posted. */
export const GET: RequestHandler = async ({ locals, params }) => {
	const viewer = { who: locals.who!, today: await locals.app.today() };
	const paper = await look(lookAtPaper(locals.app.books.db, Number(params.id) || 0, viewer));
	if (!paper) error(404, 'There is no such document.');
	const pdf = await render({ what: 'paper', paper });
	const name = `${paper.number.replace(/[^\w.-]+/g, '-')}.pdf`;
	return new Response(new Uint8Array(pdf), {
		headers: { 'content-type': 'application/pdf', 'content-disposition': `inline; filename="${name}"` }
	});
};
