import { withMoreRows } from './pile-rows';
import type { LayoutLoad } from './$types';

/** The pile with as many rows of each group as were drawn here before. */
export const load: LayoutLoad = async ({ data, fetch, depends }) => {
	depends('books:pile-rows');
	return { ...data, groups: await Promise.all(data.groups.map((group) => withMoreRows(group, fetch))) };
};
