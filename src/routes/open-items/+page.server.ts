import { rowNumber } from '$lib/server/platform/http/row-number';
import { error } from '@sveltejs/kit';
import { view } from '$lib/server/platform/http/view';
import { lookAtItem } from '$lib/server/documents/queries/item-life';
import { PAGE, lookAtOpenItems } from '$lib/server/documents/queries/open-items';
import type { PageServerLoad } from './$types';
import { readOpenItemsQuery } from './read-query';

export const load: PageServerLoad = async ({ locals, url }) => {
	const query = readOpenItemsQuery(url);
	const itemId = rowNumber(url.searchParams.get('item'));
	const item = itemId ? await view(locals, lookAtItem, itemId) : null;
	if (itemId !== null && !item) error(404, 'There is no such item.');
	return {
		...(await view(locals, lookAtOpenItems, query)),
		query,
		pageSize: PAGE,
		item
	};
};
