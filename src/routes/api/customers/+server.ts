import { json } from '@sveltejs/kit';
import { look } from '$lib/server/http/refuse';
import { findCustomers } from '$lib/server/looks/find-customers';
import type { RequestHandler } from './$types';

/** Customers by any part of name, code or document number, for choosing whose money it is. */
export const GET: RequestHandler = async ({ locals, url }) => {
	const viewer = { who: locals.who!, today: await locals.app.today() };
	return json(await look(findCustomers(locals.app.books.db, url.searchParams.get('q') ?? '', viewer)));
};
