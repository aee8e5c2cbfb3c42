import { rowNumber } from '$lib/server/platform/http/row-number';
import { contentDisposition } from '$lib/server/platform/http/content-disposition';
import { error } from '@sveltejs/kit';
import { view } from '$lib/server/platform/http/view';
import { lookAtSent } from '$lib/server/letters/queries/outbox';
import { letterPaper } from '$lib/server/letters/store/kept-letters';
import type { RequestHandler } from './$types';

/** The paper that travelled with a letter. */
export const GET: RequestHandler = async ({ locals, params }) => {
	const found = await view(locals, lookAtSent, rowNumber(params.id) ?? 0);
	if (!found) error(404, 'There is no such letter.');
	const name = `${found.letter.kind}-${found.code}-${found.letter.date}.pdf`;
	return new Response(new Uint8Array(await letterPaper(locals.app.books, found.letter)), {
		headers: { 'content-type': 'application/pdf', 'content-disposition': contentDisposition('inline', name) }
	});
};
