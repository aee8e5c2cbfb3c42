import { look } from '$lib/server/http/refuse';
import { CUSTOMER_PAGE, lookAtCustomers } from '$lib/server/looks/customers';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, url }) => {
	const viewer = { who: locals.who!, today: await locals.app.today() };
	const query = {
		text: url.searchParams.get('q') ?? '',
		page: Math.max(0, Number(url.searchParams.get('page')) || 0)
	};
	return {
		...(await look(lookAtCustomers(locals.app.books.db, query, viewer))),
		query,
		pageSize: CUSTOMER_PAGE
	};
};
