import { z } from 'zod';
import { perform, requireRole } from '$lib/server/acts/perform';
import { sendLetters } from '$lib/server/acts/send-letters';
import { addressInput, setAddress } from '$lib/server/acts/set-address';
import { prepareLetters } from '$lib/server/http/prepare-letters';
import { readForm } from '$lib/server/http/read-form';
import { look, refuse } from '$lib/server/http/refuse';
import { lookAtRun, RUN_PAGE } from '$lib/server/looks/letters';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, url }) => {
	const viewer = { who: locals.who!, today: await locals.app.today() };
	const asked = url.searchParams.get('kind');
	const kind = asked === 'reminder' ? ('reminder' as const) : ('statement' as const);
	const corrections = asked === 'correction';
	const page = Math.max(0, Math.trunc(Number(url.searchParams.get('page') ?? 0)) || 0);
	return {
		kind,
		corrections,
		page,
		perPage: RUN_PAGE,
		run: await look(lookAtRun(locals.app.books.db, { kind, page, corrections }, viewer)),
		standIn: locals.app.postOffice.standIn,
		mayAct: locals.who!.role !== 'reader'
	};
};

const sendInput = z.object({
	kind: z.enum(['statement', 'reminder']),
	chosen: z
		.array(z.object({ customerId: z.number().int(), currency: z.string().length(3) }))
		.min(1, 'Choose somebody first.')
		.max(500)
});

export const actions: Actions = {
	send: async ({ request, locals }) => {
		const { app, who } = locals;
		await look(Promise.resolve().then(() => requireRole(who!, 'clerk')));
		const read = await readForm(request, sendInput);
		if (!read.ok) return refuse(read.problems);
		const at = await app.circumstance(who!, read.key);
		const { kind, chosen } = read.value;
		const prepared = await prepareLetters(
			app.books.db,
			kind,
			chosen,
			{ who: who!, today: at.today },
			at.now()
		);
		if (!prepared.ok) return refuse(prepared.problems);
		const result = await perform(app.books, sendLetters, { kind, letters: prepared.value }, at);
		if (!result.ok) return refuse(result.problems);
		app.postOffice.wake();
		return { sent: result.value.sent };
	},
	address: async ({ request, locals }) => {
		const read = await readForm(request, addressInput.extend({ customerId: z.coerce.number().int() }));
		if (!read.ok) return refuse(read.problems);
		const result = await perform(
			locals.app.books,
			setAddress,
			read.value,
			await locals.app.circumstance(locals.who!)
		);
		return result.ok ? { addressed: read.value.customerId } : refuse(result.problems);
	}
};
