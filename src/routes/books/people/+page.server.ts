import { addPerson, changeRole, personInput, roleInput } from '$lib/server/acts/people';
import { perform } from '$lib/server/acts/perform';
import { readForm } from '$lib/server/http/read-form';
import { look, refuse } from '$lib/server/http/refuse';
import { lookAtPeople } from '$lib/server/looks/people';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => {
	const viewer = { who: locals.who!, today: await locals.app.today() };
	return look(lookAtPeople(locals.app.books.db, null, viewer));
};

export const actions: Actions = {
	add: async ({ request, locals }) => {
		const read = await readForm(request, personInput);
		if (!read.ok) return refuse(read.problems);
		const result = await perform(
			locals.app.books,
			addPerson,
			read.value,
			await locals.app.circumstance(locals.who!)
		);
		return result.ok ? { added: read.value.name } : refuse(result.problems);
	},
	role: async ({ request, locals }) => {
		const read = await readForm(request, roleInput);
		if (!read.ok) return refuse(read.problems);
		const result = await perform(
			locals.app.books,
			changeRole,
			read.value,
			await locals.app.circumstance(locals.who!)
		);
		return result.ok ? { changed: true } : refuse(result.problems);
	}
};
