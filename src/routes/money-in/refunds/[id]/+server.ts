import { noteEvent } from '$lib/server/people/note-event';
import { rowNumber } from '$lib/server/platform/http/row-number';
import { contentDisposition } from '$lib/server/platform/http/content-disposition';
import { error } from '@sveltejs/kit';
import { view } from '$lib/server/platform/http/view';
import { lookAtRefundFile } from '$lib/server/refunds/queries/refunds';
import type { RequestHandler } from './$types';

/** A file of refunds, to be taken to the bank. */
export const GET: RequestHandler = async ({ locals, params, getClientAddress }) => {
	const file = await view(locals, lookAtRefundFile, rowNumber(params.id) ?? 0);
	if (!file) error(404, 'There is no such file.');
	noteEvent(locals.app.books, {
		...{ kind: 'exported', personId: locals.who!.id, origin: getClientAddress(), about: file.name }
	});
	return new Response(file.xml, {
		headers: {
			'content-type': 'application/xml; charset=utf-8',
			'content-disposition': contentDisposition('attachment', file.name)
		}
	});
};
