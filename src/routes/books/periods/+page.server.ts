import { lockInput, lockPeriod, unlockInput, unlockPeriod } from '$lib/server/acts/lock-period';
import { perform } from '$lib/server/acts/perform';
import { readForm } from '$lib/server/http/read-form';
import { look, refuse } from '$lib/server/http/refuse';
import { lookAtPeriods } from '$lib/server/looks/periods';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => {
	const viewer = { who: locals.who!, today: await locals.app.today() };
	const periods = await look(lookAtPeriods(locals.app.books.db, null, viewer));
	return { ...periods, mayLock: locals.who!.role === 'supervisor' };
};

export const actions: Actions = {
	lock: async ({ request, locals }) => {
		const read = await readForm(request, lockInput);
		if (!read.ok) return refuse(read.problems);
		const at = await locals.app.circumstance(locals.who!);
		const result = await perform(locals.app.books, lockPeriod, read.value, at);
		return result.ok ? { locked: read.value.through } : refuse(result.problems);
	},
	unlock: async ({ request, locals }) => {
		const read = await readForm(request, unlockInput);
		if (!read.ok) return refuse(read.problems);
		const at = await locals.app.circumstance(locals.who!);
		const result = await perform(locals.app.books, unlockPeriod, read.value, at);
		return result.ok ? { opened: read.value.from } : refuse(result.problems);
	}
};
