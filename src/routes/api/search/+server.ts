import { json } from '@sveltejs/kit';
import { view } from '$lib/server/platform/http/view';
import { searchBooks } from '$lib/server/reports/queries/search';
import type { RequestHandler } from './$types';

/** What the books hold under a number, amount, name or reference. */
export const GET: RequestHandler = async ({ locals, url }) => {
	return json(await view(locals, searchBooks, url.searchParams.get('q') ?? ''));
};
