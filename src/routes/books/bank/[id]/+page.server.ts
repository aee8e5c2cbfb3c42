import { error } from '@sveltejs/kit';
import { rowNumber } from '$lib/server/platform/http/row-number';
import { view } from '$lib/server/platform/http/view';
import { lookAtBankEntries } from '$lib/server/ledger/queries/bank-entries';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, params, url }) => {
	const query = {
		bankAccountId: rowNumber(params.id) ?? 0,
		text: url.searchParams.get('find') ?? '',
		before: rowNumber(url.searchParams.get('before'))
	};
	const found = await view(locals, lookAtBankEntries, query);
	if (!found) error(404, 'There is no such bank account.');
	return { ...found, query };
};
