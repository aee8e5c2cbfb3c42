import { z } from 'zod';
import { adviceInput, dropAdvice, keepAdvice } from '$lib/server/acts/keep-advice';
import { perform } from '$lib/server/acts/perform';
import { readForm } from '$lib/server/http/read-form';
import { look, refuse } from '$lib/server/http/refuse';
import { lookAtAdvices } from '$lib/server/looks/advices';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, url }) => {
	const viewer = { who: locals.who!, today: await locals.app.today() };
	const customerId = Number(url.searchParams.get('c')) || null;
	const advices = await look(lookAtAdvices(locals.app.books.db, customerId, viewer));
	return { ...advices, mayAct: locals.who!.role !== 'reader' };
};

export const actions: Actions = {
	keep: async ({ request, locals }) => {
		const read = await readForm(request, adviceInput);
		if (!read.ok) return refuse(read.problems);
		const at = await locals.app.circumstance(locals.who!, read.key);
		const result = await perform(locals.app.books, keepAdvice, read.value, at);
		return result.ok ? { kept: true } : refuse(result.problems);
	},
	drop: async ({ request, locals }) => {
		const read = await readForm(request, z.object({ adviceId: z.number().int() }));
		if (!read.ok) return refuse(read.problems);
		const at = await locals.app.circumstance(locals.who!, read.key);
		const result = await perform(locals.app.books, dropAdvice, read.value, at);
		return result.ok ? { dropped: true } : refuse(result.problems);
	}
};
