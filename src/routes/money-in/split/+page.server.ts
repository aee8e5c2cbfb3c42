import { error } from '@sveltejs/kit';
import { perform } from '$lib/server/acts/perform';
import { splitInput, splitReceipt } from '$lib/server/acts/split-receipt';
import { readForm } from '$lib/server/http/read-form';
import { look, refuse } from '$lib/server/http/refuse';
import { lookAtDesk } from '$lib/server/looks/desk';
import { lookAtProcessors } from '$lib/server/looks/processors';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, url }) => {
	const viewer = { who: locals.who!, today: await locals.app.today() };
	const db = locals.app.books.db;
	const receiptId = Number(url.searchParams.get('r'));
	const desk = await look(lookAtDesk(db, { receiptId, customerId: null, also: [] }, viewer));
	if (!desk?.receipt) error(404, 'This entry is not in the pile any more: somebody has dealt with it.');
	return {
		receipt: desk.receipt,
		bank: desk.bank,
		processors: await look(lookAtProcessors(db, null, viewer)),
		mayAct: locals.who!.role !== 'reader'
	};
};

export const actions: Actions = {
	split: async ({ request, locals }) => {
		const read = await readForm(request, splitInput);
		if (!read.ok) return refuse(read.problems);
		const at = await locals.app.circumstance(locals.who!, read.key);
		const result = await perform(locals.app.books, splitReceipt, read.value, at);
		return result.ok ? { firstId: result.value.firstId } : refuse(result.problems);
	}
};
