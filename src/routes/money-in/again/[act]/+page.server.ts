import { error, redirect } from '@sveltejs/kit';
import { perform } from '$lib/server/acts/perform';
import { againInput, placeAgain } from '$lib/server/acts/place-again';
import { readForm } from '$lib/server/http/read-form';
import { look, refuse } from '$lib/server/http/refuse';
import { lookAgain } from '$lib/server/looks/again';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, params, url }) => {
	const viewer = { who: locals.who!, today: await locals.app.today() };
	const input = {
		actId: Number(params.act) || 0,
		customerId: Number(url.searchParams.get('c')) || null,
		also: (url.searchParams.get('also') ?? '').split(',').map(Number).filter(Boolean)
	};
	const again = await look(lookAgain(locals.app.books.db, input, viewer));
	if (!again) error(404, 'That placing does not stand any more: somebody has taken it back or changed it.');
	return { again };
};

export const actions: Actions = {
	default: async ({ request, locals }) => {
		const read = await readForm(request, againInput);
		if (!read.ok) return refuse(read.problems);
		const at = await locals.app.circumstance(locals.who!, read.key);
		const result = await perform(locals.app.books, placeAgain, read.value, at);
		if (!result.ok) return refuse(result.problems);
		redirect(303, `/books/journal?act=${result.value.actId}`);
	}
};
