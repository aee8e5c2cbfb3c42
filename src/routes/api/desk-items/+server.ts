import { json } from '@sveltejs/kit';
import { look } from '$lib/server/http/refuse';
import { lookAtDeskItems } from '$lib/server/looks/desk';
import type { RequestHandler } from './$types';

/** All that is open on the accounts of a desk. */
export const GET: RequestHandler = async ({ locals, url }) => {
	const viewer = { who: locals.who!, today: await locals.app.today() };
	const accounts = (url.searchParams.get('accounts') ?? '').split(',').map(Number).filter(Boolean);
	return json(await look(lookAtDeskItems(locals.app.books.db, accounts.slice(0, 200), viewer)));
};
