import { look } from '$lib/server/http/refuse';
import { lookAtToday } from '$lib/server/looks/today';
import { countRuns } from '$lib/server/looks/letters';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => {
	const viewer = { who: locals.who!, today: await locals.app.today() };
	const db = locals.app.books.db;
	const sheet = await look(lookAtToday(db, null, viewer));
	return { sheet, ...(await look(countRuns(db, null, viewer))) };
};
