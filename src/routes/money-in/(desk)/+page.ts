import { withItems } from './with-items';
import type { PageLoad } from './$types';

/** The desk with the open items of its accounts, which are fetched once for an account and kept while nothing of it changes. */
export const load: PageLoad = async ({ data, fetch }) => ({
	...data,
	desk: data.desk && (await withItems(data.desk, fetch))
});
