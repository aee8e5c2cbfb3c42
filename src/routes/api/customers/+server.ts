import { json } from '@sveltejs/kit';
import { view } from '$lib/server/platform/http/view';
import { findCustomers } from '$lib/server/customers/queries/find-customers';
import type { RequestHandler } from './$types';

/** Customers by any part of name, code or document number, for choosing whose money it is. */
export const GET: RequestHandler = async ({ locals, url }) => {
	return json(await view(locals, findCustomers, url.searchParams.get('q') ?? ''));
};
