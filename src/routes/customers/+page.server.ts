import { view } from '$lib/server/platform/http/view';
import { CUSTOMER_PAGE, lookAtCustomers } from '$lib/server/customers/queries/customers';
import type { PageServerLoad } from './$types';
import { readCustomersQuery } from './read-query';

export const load: PageServerLoad = async ({ locals, url }) => {
	const query = readCustomersQuery(url);
	return { ...(await view(locals, lookAtCustomers, query)), query, pageSize: CUSTOMER_PAGE };
};
