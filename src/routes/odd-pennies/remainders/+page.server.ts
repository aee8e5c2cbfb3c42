import { parseTyped } from '$lib/core/money/parse-typed';
import { perform } from '$lib/server/acts/perform';
import { remaindersInput, writeOffRemainders } from '$lib/server/acts/write-off-remainders';
import { readForm } from '$lib/server/http/read-form';
import { look, refuse } from '$lib/server/http/refuse';
import { lookAtRemainders } from '$lib/server/looks/remainders';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, url, parent }) => {
	const viewer = { who: locals.who!, today: await locals.app.today() };
	const { base } = await parent();
	const typed = url.searchParams.get('upTo');
	const read = typed ? parseTyped(typed, base, false) : null;
	const query = {
		upTo: typeof read === 'number' ? read : null,
		partPaid: url.searchParams.get('all') !== 'yes',
		code: url.searchParams.get('customer')
	};
	const found = await look(lookAtRemainders(locals.app.books.db, query, viewer));
	return {
		...found,
		partPaid: query.partPaid,
		upToTyped: query.upTo !== null,
		bad: typeof read === 'string' ? typed : null,
		mayAct: locals.who!.role !== 'reader'
	};
};

export const actions: Actions = {
	writeOff: async ({ request, locals }) => {
		const read = await readForm(request, remaindersInput);
		if (!read.ok) return refuse(read.problems);
		const at = await locals.app.circumstance(locals.who!, read.key);
		const result = await perform(locals.app.books, writeOffRemainders, read.value, at);
		return result.ok ? result.value : refuse(result.problems);
	}
};
