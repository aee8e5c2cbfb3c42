import { look } from '$lib/server/http/refuse';
import { lookAtOddPennies } from '$lib/server/looks/odd-pennies';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => {
	const viewer = { who: locals.who!, today: await locals.app.today() };
	return look(lookAtOddPennies(locals.app.books.db, null, viewer));
};
