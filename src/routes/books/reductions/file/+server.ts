import { noteEvent } from '$lib/server/people/note-event';
import { readSetting } from '$lib/server/firm/store/settings';
import { csvResponse } from '$lib/server/platform/http/csv-response';
import { view } from '$lib/server/platform/http/view';
import { lookAtReductions } from '$lib/server/reductions/queries/reductions';
import { REDUCTION_NAMES } from '$lib/words';
import { plainAmount } from '$lib/words/plain-amount';
import { readReductionsQuery } from '../read-query';
import type { RequestHandler } from './$types';

/** What each person took off in a month, as sums by kind. */
export const GET: RequestHandler = async ({ locals, url, getClientAddress }) => {
	noteEvent(locals.app.books, {
		...{
			kind: 'exported',
			personId: locals.who!.id,
			origin: getClientAddress(),
			about: 'what people took off'
		}
	});
	const query = readReductionsQuery(url, await locals.app.today());
	const { sums } = await view(locals, lookAtReductions, { ...query, person: null, most: 0 });
	const base = (await readSetting(locals.app.books.db, 'firm'))?.baseCurrency ?? 'GBP';
	return csvResponse(
		`reductions-${query.from.slice(0, 7)}`,
		['Person', 'Kind', 'How', 'Count', `Sum, ${base}`],
		sums.map((row) => [
			...[row.person, REDUCTION_NAMES[row.kind], row.agreed ? 'approved for somebody' : 'alone'],
			...[row.count, plainAmount(row.base, base)]
		])
	);
};
