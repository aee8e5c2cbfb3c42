import { z } from 'zod';
import { idField } from '$lib/server/act/fields';
import { sendLetters } from '$lib/server/letters/commands/send-letters';
import { undoReturn } from '$lib/server/returns/commands/undo-return';
import { prepareLetters } from '$lib/server/services/prepare-letters';
import { mayAct, view } from '$lib/server/platform/http/view';
import { lookAtReturned, lookAtReturns } from '$lib/server/returns/queries/returns';
import { action, shaped } from '$lib/server/platform/http/action';
import { err, ok } from '$lib/core/result';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, url }) => {
	const query = url.searchParams.get('q') ?? '';
	const returns = await view(locals, lookAtReturns, query);
	return { ...returns, query, mayAct: mayAct(locals) };
};

export const actions = {
	undo: action(undoReturn),
	notice: action(sendLetters, {
		prepare: async (fields, _, { locals }, ctx) => {
			const read = shaped(z.object({ returnedId: idField }), fields);
			if (!read.ok) return read;
			const back = await view(locals, lookAtReturned, read.value.returnedId);
			if (!back) return err({ code: 'not-found', what: 'returned payment' });
			const { id, customerId, currency } = back;
			const chosen = [{ customerId, currency, returnedId: id }];
			const letters = await prepareLetters(
				locals.app.books,
				{ kind: 'returned', accounts: chosen },
				ctx,
				ctx.now()
			);
			return letters.ok ? ok({ kind: 'returned' as const, letters: letters.value }) : letters;
		},
		then: (_, { locals }) => locals.app.postOffice.wake()
	})
};
