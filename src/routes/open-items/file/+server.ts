import { noteEvent } from '$lib/server/people/note-event';
import { csvFile } from '$lib/server/platform/http/csv-response';
import { viewInThread } from '$lib/server/services/threads/view-in-thread';
import { readOpenItemsQuery } from '../read-query';
import type { RequestHandler } from './$types';

/** All open items that the list has, on any page, in its order. */
export const GET: RequestHandler = async ({ locals, url, getClientAddress }) => {
	noteEvent(locals.app.books, {
		kind: 'exported',
		personId: locals.who!.id,
		origin: getClientAddress(),
		about: 'open items'
	});
	return csvFile('open-items', await viewInThread(locals, 'open-items-table', readOpenItemsQuery(url)));
};
