import { lookAtCustomers } from '$lib/server/customers/queries/customers';
import { readSetting } from '$lib/server/firm/store/settings';
import { csvResponse } from '$lib/server/platform/http/csv-response';
import { view } from '$lib/server/platform/http/view';
import { plainAmount } from '$lib/words/plain-amount';
import { readCustomersQuery } from '../read-query';
import type { RequestHandler } from './$types';

/** All customer accounts that the list has, on any page, in its order. */
export const GET: RequestHandler = async ({ locals, url }) => {
	const { rows } = await view(locals, lookAtCustomers, { ...readCustomersQuery(url), page: null });
	const base = (await readSetting(locals.app.books.db, 'firm'))?.baseCurrency ?? 'GBP';
	return csvResponse(
		'customers',
		['Code', 'Name', 'E-mail', 'Open items', `Late, ${base}`, `Owed, ${base}`],
		rows.map((row) => [
			...[row.code, row.name, row.email ?? '', row.items],
			...[plainAmount(row.late, base), plainAmount(row.owed, base)]
		])
	);
};
