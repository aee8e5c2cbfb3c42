import { noteEvent } from '$lib/server/people/note-event';
import { csvResponse } from '$lib/server/platform/http/csv-response';
import { viewInThread } from '$lib/server/services/threads/view-in-thread';
import { interestTable } from '$lib/words/interest-table';
import { readInterestQuery } from '../read-query';
import type { RequestHandler } from './$types';

/** What interest would be charged, a row for each item and each change of what was late or of the rate. */
export const GET: RequestHandler = async ({ locals, url, getClientAddress }) => {
	noteEvent(locals.app.books, {
		...{ kind: 'exported', personId: locals.who!.id, origin: getClientAddress() },
		about: 'interest'
	});
	const { through } = readInterestQuery(url, await locals.app.today());
	const sheets = await viewInThread(locals, 'interest-sheets', { through });
	const { headings, rows } = interestTable(sheets);
	return csvResponse(`interest-${through}`, headings, rows);
};
