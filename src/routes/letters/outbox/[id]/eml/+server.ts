import { rowNumber } from '$lib/server/platform/http/row-number';
import { contentDisposition } from '$lib/server/platform/http/content-disposition';
import { error } from '@sveltejs/kit';
import { view } from '$lib/server/platform/http/view';
import { lookAtSent } from '$lib/server/letters/queries/outbox';
import { resentMessage } from '$lib/server/letters/resent-message';
import { messageText } from '$lib/server/letters/store/kept-letters';
import type { RequestHandler } from './$types';

/** The message as it was handed to the mail server; the server's own marks, such as a signature, are not on it yet. */
export const GET: RequestHandler = async ({ locals, params }) => {
	const found = await view(locals, lookAtSent, rowNumber(params.id) ?? 0);
	if (!found) error(404, 'There is no such letter.');
	if (!found.message) error(404, 'This letter went by post alone.');
	const name = `${found.letter.kind}-${found.code}-${found.letter.date}.eml`;
	const { firm } = JSON.parse(found.letter.data) as { readonly firm: { readonly email: string } };
	const eml = resentMessage(await messageText(locals.app.books, found.message), found.delivery, firm.email);
	return new Response(new Uint8Array(eml), {
		headers: {
			'content-type': 'message/rfc822',
			'content-disposition': contentDisposition('attachment', name)
		}
	});
};
