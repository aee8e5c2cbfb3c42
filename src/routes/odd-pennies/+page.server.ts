import { decideClaims, decideInput } from '$lib/server/acts/decide-claims';
import { perform } from '$lib/server/acts/perform';
import { readForm } from '$lib/server/http/read-form';
import { look, refuse } from '$lib/server/http/refuse';
import { countApprovals } from '$lib/server/looks/approvals';
import { lookAtOddPennies } from '$lib/server/looks/odd-pennies';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => {
	const viewer = { who: locals.who!, today: await locals.app.today() };
	const found = await look(lookAtOddPennies(locals.app.books.db, null, viewer));
	const waiting = await look(countApprovals(locals.app.books.db, null, viewer));
	return { ...found, waiting, mayAct: locals.who!.role !== 'reader' };
};

export const actions: Actions = {
	decide: async ({ request, locals }) => {
		const read = await readForm(request, decideInput);
		if (!read.ok) return refuse(read.problems);
		const at = await locals.app.circumstance(locals.who!, read.key);
		const result = await perform(locals.app.books, decideClaims, read.value, at);
		return result.ok ? result.value : refuse(result.problems);
	}
};
