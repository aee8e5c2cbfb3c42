import { readPage } from '$lib/server/platform/http/read-page';
import { readSorting } from '$lib/ui/table-columns';
import { CUSTOMER_SORTS, type CustomersQuery } from '$lib/server/customers/queries/customers';

/** What of the customers an address asks for. */
export function readCustomersQuery(url: URL): CustomersQuery & { readonly page: number } {
	return {
		text: url.searchParams.get('q') ?? '',
		page: readPage(url),
		sorting: readSorting(url.searchParams.get('sort'), CUSTOMER_SORTS)
	};
}
