import { makeRefundFile, refundFileInput } from '$lib/server/acts/make-refund-file';
import { perform } from '$lib/server/acts/perform';
import { readForm } from '$lib/server/http/read-form';
import { look, refuse } from '$lib/server/http/refuse';
import { lookAtRefunds } from '$lib/server/looks/refunds';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => {
	const viewer = { who: locals.who!, today: await locals.app.today() };
	const refunds = await look(lookAtRefunds(locals.app.books.db, null, viewer));
	return { ...refunds, mayMake: locals.who!.role === 'supervisor' };
};

export const actions: Actions = {
	file: async ({ request, locals }) => {
		const read = await readForm(request, refundFileInput);
		if (!read.ok) return refuse(read.problems);
		const at = await locals.app.circumstance(locals.who!, read.key);
		const result = await perform(locals.app.books, makeRefundFile, read.value, at);
		return result.ok ? { fileId: result.value.fileId } : refuse(result.problems);
	}
};
