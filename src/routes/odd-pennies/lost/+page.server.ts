import { look } from '$lib/server/http/refuse';
import { lookAtLost } from '$lib/server/looks/lost';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => {
	const viewer = { who: locals.who!, today: await locals.app.today() };
	return look(lookAtLost(locals.app.books.db, null, viewer));
};
