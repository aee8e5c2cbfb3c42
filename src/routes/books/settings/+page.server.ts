import { addBankAccount, bankAccountInput } from '$lib/server/acts/add-bank-account';
import { perform } from '$lib/server/acts/perform';
import { limitsInput, setLimits } from '$lib/server/acts/set-limits';
import { readForm } from '$lib/server/http/read-form';
import { look, refuse } from '$lib/server/http/refuse';
import { lookAtSettings } from '$lib/server/looks/settings';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => {
	const viewer = { who: locals.who!, today: await locals.app.today() };
	return look(lookAtSettings(locals.app.books.db, null, viewer));
};

export const actions: Actions = {
	limits: async ({ request, locals }) => {
		const read = await readForm(request, limitsInput);
		if (!read.ok) return refuse(read.problems);
		const at = await locals.app.circumstance(locals.who!);
		const result = await perform(locals.app.books, setLimits, read.value, at);
		return result.ok ? { kept: true } : refuse(result.problems);
	},
	bank: async ({ request, locals }) => {
		const read = await readForm(request, bankAccountInput);
		if (!read.ok) return refuse(read.problems);
		const at = await locals.app.circumstance(locals.who!);
		const result = await perform(locals.app.books, addBankAccount, read.value, at);
		return result.ok ? { added: read.value.name } : refuse(result.problems);
	}
};
