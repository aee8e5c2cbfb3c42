import { error } from '@sveltejs/kit';
import { look } from '$lib/server/http/refuse';
import { lookAtRefundFile } from '$lib/server/looks/refunds';
import type { RequestHandler } from './$types';

/** A file of refunds, to be taken to the bank. */
export const GET: RequestHandler = async ({ locals, params }) => {
	const viewer = { who: locals.who!, today: await locals.app.today() };
	const file = await look(lookAtRefundFile(locals.app.books.db, Number(params.id), viewer));
	if (!file) error(404, 'There is no such file.');
	return new Response(file.xml, {
		headers: {
			'content-type': 'application/xml; charset=utf-8',
			'content-disposition': `attachment; filename="${file.name}"`
		}
	});
};
