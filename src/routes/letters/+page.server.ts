import { z } from 'zod';
import { sendLetters } from '$lib/server/letters/commands/send-letters';
import { prepareLetters } from '$lib/server/services/prepare-letters';
import { readPage } from '$lib/server/platform/http/read-page';
import { whoseMoneyWaits } from '$lib/server/services/answers/whose-money-waits';
import { viewInThread } from '$lib/server/services/threads/view-in-thread';
import { mayAct } from '$lib/server/platform/http/view';
import { RUN_PAGE } from '$lib/server/letters/queries/letters';
import { action, shaped } from '$lib/server/platform/http/action';
import { setAddress } from '$lib/server/customers/commands/set-address';
import { ok } from '$lib/core/result';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, url }) => {
	const asked = url.searchParams.get('kind');
	const kind = asked === 'reminder' ? ('reminder' as const) : ('statement' as const);
	const corrections = asked === 'correction';
	const page = readPage(url);
	return {
		kind,
		corrections,
		page,
		perPage: RUN_PAGE,
		run: await viewInThread(locals, 'letters-run', {
			...{ kind, page, corrections },
			waiting: await whoseMoneyWaits(locals.app.books.db)
		}),
		standIn: locals.app.postOffice.standIn,
		mayAct: mayAct(locals)
	};
};

const sendInput = z.object({
	kind: z.enum(['statement', 'reminder']),
	chosen: z
		.array(z.object({ customerId: z.number().int(), currency: z.string().length(3) }))
		.min(1, 'Choose somebody first.')
		.max(500),
	seen: z.number().int().min(0)
});

export const actions = {
	send: action(sendLetters, {
		prepare: async (fields, _, { locals }, ctx) => {
			const read = shaped(sendInput, fields);
			if (!read.ok) return read;
			const { kind, chosen, seen } = read.value;
			const letters = await prepareLetters(locals.app.books.db, { kind, accounts: chosen }, ctx, ctx.now());
			return letters.ok ? ok({ kind, seen, letters: letters.value }) : letters;
		},
		then: (_, { locals }) => locals.app.postOffice.wake()
	}),
	address: action(setAddress)
};
