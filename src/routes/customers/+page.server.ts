import { view } from '$lib/server/platform/http/view';
import { CUSTOMER_PAGE, lookAtCustomers } from '$lib/server/customers/queries/customers';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, url }) => {
	const query = {
		text: url.searchParams.get('q') ?? '',
		page: Math.max(0, Number(url.searchParams.get('page')) || 0)
	};
	return {
		...(await view(locals, lookAtCustomers, query)),
		query,
		pageSize: CUSTOMER_PAGE
	};
};
