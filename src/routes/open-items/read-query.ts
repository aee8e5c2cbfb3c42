import { readPage } from '$lib/server/platform/http/read-page';
import { readSorting } from '$lib/ui/table-columns';
import {
	FACETS,
	OPEN_ITEM_SORTS,
	type Facet,
	type OpenItemsQuery
} from '$lib/server/documents/queries/open-items';

/** What of the open items an address asks for. */
export function readOpenItemsQuery(url: URL): OpenItemsQuery & { readonly page: number } {
	const asked = url.searchParams.get('show');
	const facet: Facet = FACETS.find((one) => one === asked) ?? 'all';
	return {
		facet,
		text: url.searchParams.get('q') ?? '',
		page: readPage(url),
		sorting: readSorting(url.searchParams.get('sort'), OPEN_ITEM_SORTS)
	};
}
