import { json } from '@sveltejs/kit';
import { rowNumbers } from '$lib/server/platform/http/row-number';
import { view } from '$lib/server/platform/http/view';
import { lookAtDeskItems } from '$lib/server/allocation/queries/desk';
import type { RequestHandler } from './$types';

/** All that is open on the accounts of a desk. */
export const GET: RequestHandler = async ({ locals, url }) => {
	const accounts = rowNumbers(url.searchParams.get('accounts'));
	return json(await view(locals, lookAtDeskItems, accounts));
};
