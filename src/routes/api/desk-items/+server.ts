import { json } from '@sveltejs/kit';
import { view } from '$lib/server/platform/http/view';
import { lookAtDeskItems } from '$lib/server/allocation/queries/desk';
import type { RequestHandler } from './$types';

/** All that is open on the accounts of a desk. */
export const GET: RequestHandler = async ({ locals, url }) => {
	const accounts = (url.searchParams.get('accounts') ?? '').split(',').map(Number).filter(Boolean);
	return json(await view(locals, lookAtDeskItems, accounts.slice(0, 200)));
};
