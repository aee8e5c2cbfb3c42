import { viewInThread } from '$lib/server/services/threads/view-in-thread';
import { readSetting } from '$lib/server/firm/store/settings';
import { RULES } from '$lib/core/5-journal/proof/prove';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => {
	const db = locals.app.books.db;
	const lockedThrough = await readSetting(db, 'lockedThrough');
	return {
		...(await viewInThread(locals, 'balances', null)),
		lockedThrough,
		rules: RULES
	};
};
