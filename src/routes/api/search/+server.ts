import { json } from '@sveltejs/kit';
import { look } from '$lib/server/http/refuse';
import { searchBooks } from '$lib/server/looks/search';
import type { RequestHandler } from './$types';

/** What the books hold under a number, amount, name or reference. */
export const GET: RequestHandler = async ({ locals, url }) => {
	const viewer = { who: locals.who!, today: await locals.app.today() };
	return json(await look(searchBooks(locals.app.books.db, url.searchParams.get('q') ?? '', viewer)));
};
