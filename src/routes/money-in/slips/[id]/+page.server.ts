import { error } from '@sveltejs/kit';
import { look } from '$lib/server/http/refuse';
import { lookAtSlip } from '$lib/server/looks/by-hand';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, params }) => {
	const viewer = { who: locals.who!, today: await locals.app.today() };
	const found = await look(lookAtSlip(locals.app.books.db, Number(params.id), viewer));
	if (!found) error(404, 'There is no such paying-in slip.');
	return { found };
};
