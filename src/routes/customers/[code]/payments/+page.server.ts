import { error } from '@sveltejs/kit';
import { moveSeveral, severalInput } from '$lib/server/acts/move-several';
import { perform } from '$lib/server/acts/perform';
import { readForm } from '$lib/server/http/read-form';
import { look, refuse } from '$lib/server/http/refuse';
import { lookAtPlacings } from '$lib/server/looks/placings';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, params }) => {
	const viewer = { who: locals.who!, today: await locals.app.today() };
	const found = await look(lookAtPlacings(locals.app.books.db, params.code, viewer));
	if (!found) error(404, `There is no account ${params.code}.`);
	return found;
};

export const actions: Actions = {
	default: async ({ request, locals }) => {
		const read = await readForm(request, severalInput);
		if (!read.ok) return refuse(read.problems);
		const at = await locals.app.circumstance(locals.who!, read.key);
		const result = await perform(locals.app.books, moveSeveral, read.value, at);
		return result.ok ? { done: result.value.actIds } : refuse(result.problems);
	}
};
