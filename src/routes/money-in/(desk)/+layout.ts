import { withMoreRows } from '$lib/trade/pile-rows';
import type { LayoutLoad } from './$types';

/** The pile with as many rows of each group as were drawn here before. */
export const load: LayoutLoad = async ({ data, fetch, depends }) => {
	depends('books:pile-rows');
	// Where somebody left while this page was being fetched beforehand, the framework hands over another page's data; nobody sees this.
	if (!data.groups) return data;
	return {
		...data,
		groups: await Promise.all(data.groups.map((group) => withMoreRows(group, data.filter, fetch)))
	};
};
