import { error } from '@sveltejs/kit';
import { z } from 'zod';
import { perform } from '$lib/server/acts/perform';
import { undoPlacing } from '$lib/server/acts/undo-placing';
import { readForm } from '$lib/server/http/read-form';
import { look, refuse } from '$lib/server/http/refuse';
import { lookAtThreads } from '$lib/server/looks/threads';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, params, url }) => {
	const viewer = { who: locals.who!, today: await locals.app.today() };
	const input = {
		code: params.code,
		from: url.searchParams.get('from'),
		ghosts: url.searchParams.get('off') === 'shown',
		item: Number(url.searchParams.get('item')) || null,
		money: Number(url.searchParams.get('money')) || null
	};
	const threads = await look(lookAtThreads(locals.app.books.db, input, viewer));
	if (!threads) error(404, `There is no account ${params.code}.`);
	return { threads, mayAct: locals.who!.role !== 'reader', asTable: url.searchParams.get('as') === 'table' };
};

export const actions: Actions = {
	off: async ({ request, locals }) => {
		const read = await readForm(request, z.object({ actId: z.coerce.number().int() }));
		if (!read.ok) return refuse(read.problems);
		const at = await locals.app.circumstance(locals.who!);
		const result = await perform(locals.app.books, undoPlacing, read.value, at);
		return result.ok ? { off: true } : refuse(result.problems);
	}
};
