import { z } from 'zod';
import { perform, requireRole } from '$lib/server/acts/perform';
import { sendLetters } from '$lib/server/acts/send-letters';
import { undoReturn } from '$lib/server/acts/undo-return';
import { prepareLetters } from '$lib/server/http/prepare-letters';
import { readForm } from '$lib/server/http/read-form';
import { look, refuse } from '$lib/server/http/refuse';
import { lookAtReturned, lookAtReturns } from '$lib/server/looks/returns';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, url }) => {
	const viewer = { who: locals.who!, today: await locals.app.today() };
	const query = url.searchParams.get('q') ?? '';
	const returns = await look(lookAtReturns(locals.app.books.db, query, viewer));
	return { ...returns, query, mayAct: locals.who!.role !== 'reader' };
};

export const actions: Actions = {
	undo: async ({ request, locals }) => {
		const read = await readForm(request, z.object({ actId: z.number().int() }));
		if (!read.ok) return refuse(read.problems);
		const at = await locals.app.circumstance(locals.who!, read.key);
		const result = await perform(locals.app.books, undoReturn, read.value, at);
		return result.ok ? { done: [result.value.actId] } : refuse(result.problems);
	},
	notice: async ({ request, locals }) => {
		const read = await readForm(request, z.object({ returnedId: z.number().int() }));
		if (!read.ok) return refuse(read.problems);
		const { app } = locals;
		await look(Promise.resolve().then(() => requireRole(locals.who!, 'clerk')));
		const at = await app.circumstance(locals.who!, read.key);
		const viewer = { who: at.who, today: at.today };
		const back = await look(lookAtReturned(app.books.db, read.value.returnedId, viewer));
		if (!back) return refuse([{ code: 'not-found', what: 'returned payment' }]);
		const { id, customerId, currency } = back;
		const chosen = [{ customerId, currency, returnedId: id }];
		const prepared = await prepareLetters(app.books.db, 'returned', chosen, viewer, at.now());
		if (!prepared.ok) return refuse(prepared.problems);
		const result = await perform(app.books, sendLetters, { kind: 'returned', letters: prepared.value }, at);
		if (!result.ok) return refuse(result.problems);
		app.postOffice.wake();
		return { done: [result.value.actId] };
	}
};
