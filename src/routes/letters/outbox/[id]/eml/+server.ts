import { rowNumber } from '$lib/server/platform/http/row-number';
import { contentDisposition } from '$lib/server/platform/http/content-disposition';
import { error } from '@sveltejs/kit';
import { view } from '$lib/server/platform/http/view';
import { lookAtSent } from '$lib/server/letters/queries/outbox';
import { messageText } from '$lib/server/letters/store/kept-letters';
import type { RequestHandler } from './$types';

/** The message exactly as it was handed to the mail server. */
export const GET: RequestHandler = async ({ locals, params }) => {
	const found = await view(locals, lookAtSent, rowNumber(params.id) ?? 0);
	if (!found) error(404, 'There is no such letter.');
	if (!found.message) error(404, 'This letter went by post alone.');
	const name = `${found.letter.kind}-${found.code}-${found.letter.date}.eml`;
	return new Response(new Uint8Array(await messageText(locals.app.books, found.message)), {
		headers: {
			'content-type': 'message/rfc822',
			'content-disposition': contentDisposition('attachment', name)
		}
	});
};
