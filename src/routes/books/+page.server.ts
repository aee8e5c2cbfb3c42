import { view } from '$lib/server/platform/http/view';
import { lookAtBalances } from '$lib/server/ledger/queries/journal';
import { readSetting } from '$lib/server/firm/store/settings';
import { RULES } from '$lib/core/5-journal/proof/prove';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => {
	const db = locals.app.books.db;
	const lockedThrough = await readSetting(db, 'lockedThrough');
	return {
		...(await view(locals, lookAtBalances, null)),
		lockedThrough,
		rules: RULES
	};
};
