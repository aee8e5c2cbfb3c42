import { look } from '$lib/server/http/refuse';
import { countApprovals } from '$lib/server/looks/approvals';
import { lookAtToday } from '$lib/server/looks/today';
import { countRuns } from '$lib/server/looks/letters';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => {
	const viewer = { who: locals.who!, today: await locals.app.today() };
	const db = locals.app.books.db;
	const sheet = await look(lookAtToday(db, null, viewer));
	const approvals = await look(countApprovals(db, null, viewer));
	return { sheet, approvals, ...(await look(countRuns(db, null, viewer))) };
};
