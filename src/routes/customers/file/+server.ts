import { noteEvent } from '$lib/server/people/note-event';
import { csvFile } from '$lib/server/platform/http/csv-response';
import { viewInThread } from '$lib/server/services/threads/view-in-thread';
import { readCustomersQuery } from '../read-query';
import type { RequestHandler } from './$types';

/** All customer accounts that the list has, on any page, in its order. */
export const GET: RequestHandler = async ({ locals, url, getClientAddress }) => {
	noteEvent(locals.app.books, {
		kind: 'exported',
		personId: locals.who!.id,
		origin: getClientAddress(),
		about: 'customers'
	});
	return csvFile('customers', await viewInThread(locals, 'customers-table', readCustomersQuery(url)));
};
