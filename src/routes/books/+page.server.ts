import { look } from '$lib/server/http/refuse';
import { lookAtBalances } from '$lib/server/looks/journal';
import { readSetting } from '$lib/server/repo/settings';
import { RULES } from '$lib/core/5-journal/proof/prove';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => {
	const viewer = { who: locals.who!, today: await locals.app.today() };
	const db = locals.app.books.db;
	const lockedThrough = await readSetting(db, 'lockedThrough');
	return {
		...(await look(lookAtBalances(db, null, viewer))),
		lockedThrough,
		rules: RULES
	};
};
