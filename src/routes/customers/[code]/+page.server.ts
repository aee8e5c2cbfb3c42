import { error } from '@sveltejs/kit';
import { look } from '$lib/server/http/refuse';
import { lookAtAccount } from '$lib/server/looks/account';
import { lookAtItem } from '$lib/server/looks/item-life';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, params, url }) => {
	const viewer = { who: locals.who!, today: await locals.app.today() };
	const account = await look(lookAtAccount(locals.app.books.db, params.code, viewer));
	if (!account) error(404, `There is no account ${params.code}.`);
	const itemId = Number(url.searchParams.get('item')) || null;
	return { account, item: itemId ? await look(lookAtItem(locals.app.books.db, itemId, viewer)) : null };
};
