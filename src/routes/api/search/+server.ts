import { json } from '@sveltejs/kit';
import { view } from '$lib/server/http/view';
import { searchBooks } from '$lib/server/looks/search';
import type { RequestHandler } from './$types';

/** What the books hold under a number, amount, name or reference. */
export const GET: RequestHandler = async ({ locals, url }) => {
	return json(await view(locals, searchBooks, url.searchParams.get('q') ?? ''));
};
