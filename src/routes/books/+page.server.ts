import { view } from '$lib/server/http/view';
import { lookAtBalances } from '$lib/server/looks/journal';
import { readSetting } from '$lib/server/repo/settings';
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
