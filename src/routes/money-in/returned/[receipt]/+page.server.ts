import { error, redirect } from '@sveltejs/kit';
import { perform } from '$lib/server/acts/perform';
import { returnInput, returnPayment } from '$lib/server/acts/return-payment';
import { readForm } from '$lib/server/http/read-form';
import { look, refuse } from '$lib/server/http/refuse';
import { lookAtReturn } from '$lib/server/looks/returns';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, params, url }) => {
	const viewer = { who: locals.who!, today: await locals.app.today() };
	const input = {
		receiptId: Number(params.receipt) || 0,
		shownId: Number(url.searchParams.get('shown')) || null
	};
	const back = await look(lookAtReturn(locals.app.books.db, input, viewer));
	if (!back) error(404, 'That payment is not placed, so it cannot come back: somebody has taken it off.');
	return { back, shownId: input.shownId };
};

export const actions: Actions = {
	default: async ({ request, locals }) => {
		const read = await readForm(request, returnInput);
		if (!read.ok) return refuse(read.problems);
		const at = await locals.app.circumstance(locals.who!, read.key);
		const result = await perform(locals.app.books, returnPayment, read.value, at);
		if (!result.ok) return refuse(result.problems);
		redirect(303, `/money-in/returned?act=${result.value.actId}`);
	}
};
