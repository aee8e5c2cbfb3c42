import { look } from '$lib/server/http/refuse';
import { lookAtJournal } from '$lib/server/looks/journal';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, url }) => {
	const viewer = { who: locals.who!, today: await locals.app.today() };
	const query = {
		before: Number(url.searchParams.get('before')) || null,
		account: url.searchParams.get('account') ?? '',
		actId: Number(url.searchParams.get('act')) || null
	};
	return { ...(await look(lookAtJournal(locals.app.books.db, query, viewer))), query };
};
