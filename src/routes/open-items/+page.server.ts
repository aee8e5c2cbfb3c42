import { look } from '$lib/server/http/refuse';
import { lookAtItem } from '$lib/server/looks/item-life';
import { FACETS, PAGE, lookAtOpenItems, type Facet } from '$lib/server/looks/open-items';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, url }) => {
	const viewer = { who: locals.who!, today: await locals.app.today() };
	const db = locals.app.books.db;
	const asked = url.searchParams.get('show') as Facet | null;
	const facet: Facet = asked && FACETS.includes(asked) ? asked : 'all';
	const query = {
		facet,
		text: url.searchParams.get('q') ?? '',
		page: Math.max(0, Number(url.searchParams.get('page')) || 0)
	};
	const itemId = Number(url.searchParams.get('item')) || null;
	return {
		...(await look(lookAtOpenItems(db, query, viewer))),
		query,
		pageSize: PAGE,
		item: itemId ? await look(lookAtItem(db, itemId, viewer)) : null
	};
};
