import { redirect } from '@sveltejs/kit';
import { documentInput, issueByHand } from '$lib/server/acts/issue-by-hand';
import { perform } from '$lib/server/acts/perform';
import { readForm } from '$lib/server/http/read-form';
import { look, refuse } from '$lib/server/http/refuse';
import { lookAtFirstItem, lookAtNewDocument } from '$lib/server/looks/new-document';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, url }) => {
	const viewer = { who: locals.who!, today: await locals.app.today() };
	const customerId = Number(url.searchParams.get('c')) || null;
	return { beginning: await look(lookAtNewDocument(locals.app.books.db, customerId, viewer)) };
};

export const actions: Actions = {
	default: async ({ request, locals }) => {
		const read = await readForm(request, documentInput);
		if (!read.ok) return refuse(read.problems);
		const at = await locals.app.circumstance(locals.who!, read.key);
		const db = locals.app.books.db;
		const result = await perform(locals.app.books, issueByHand, read.value, at);
		if (!result.ok) return refuse(result.problems);
		const { documentId, code } = result.value;
		const viewer = { who: locals.who!, today: at.today };
		const itemId = documentId === null ? null : await lookAtFirstItem(db, documentId, viewer);
		redirect(303, `/customers/${code}${itemId ? `?item=${itemId}` : ''}`);
	}
};
