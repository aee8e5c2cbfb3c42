import { z } from 'zod';
import { perform } from '$lib/server/acts/perform';
import { sendAgain } from '$lib/server/acts/send-again';
import { readForm } from '$lib/server/http/read-form';
import { look, refuse } from '$lib/server/http/refuse';
import { lookAtOutbox } from '$lib/server/looks/letters';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, url, depends }) => {
	depends('books:outbox');
	const viewer = { who: locals.who!, today: await locals.app.today() };
	const page = Math.max(0, Number(url.searchParams.get('page')) || 0);
	return {
		...(await look(lookAtOutbox(locals.app.books.db, { page }, viewer))),
		page,
		mayAct: locals.who!.role !== 'reader'
	};
};

export const actions: Actions = {
	again: async ({ request, locals }) => {
		const read = await readForm(request, z.object({ letterId: z.coerce.number().int() }));
		if (!read.ok) return refuse(read.problems);
		const result = await perform(
			locals.app.books,
			sendAgain,
			read.value,
			await locals.app.circumstance(locals.who!)
		);
		if (!result.ok) return refuse(result.problems);
		locals.app.postOffice.wake();
		return { again: true };
	}
};
