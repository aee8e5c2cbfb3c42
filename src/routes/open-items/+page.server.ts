import { view } from '$lib/server/platform/http/view';
import { lookAtItem } from '$lib/server/documents/queries/item-life';
import { FACETS, PAGE, lookAtOpenItems, type Facet } from '$lib/server/documents/queries/open-items';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, url }) => {
	const asked = url.searchParams.get('show') as Facet | null;
	const facet: Facet = asked && FACETS.includes(asked) ? asked : 'all';
	const query = {
		facet,
		text: url.searchParams.get('q') ?? '',
		page: Math.max(0, Number(url.searchParams.get('page')) || 0)
	};
	const itemId = Number(url.searchParams.get('item')) || null;
	return {
		...(await view(locals, lookAtOpenItems, query)),
		query,
		pageSize: PAGE,
		item: itemId ? await view(locals, lookAtItem, itemId) : null
	};
};
