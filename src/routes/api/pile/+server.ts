import { error, json } from '@sveltejs/kit';
import { countIn } from '$lib/server/platform/http/row-number';
import { view } from '$lib/server/platform/http/view';
import { lookAtPileGroup } from '$lib/server/receipts/queries/pile';
import { PILE_GROUPS } from '$lib/server/services/answers/order-pile';
import { pileFilterOf } from '$lib/server/services/answers/pile-filter';
import { MOST_ROWS } from '$lib/trade/pile-rows';
import type { RequestHandler } from './$types';

/** Rows of a group of the pile, from one place on. */
export const GET: RequestHandler = async ({ locals, url }) => {
	const group = PILE_GROUPS.find((one) => one === url.searchParams.get('group'));
	const from = countIn(url.searchParams.get('from'));
	const most = countIn(url.searchParams.get('most'));
	if (!group || from === null || most === null)
		error(400, 'Say which group of the pile, from where, and how many.');
	return json(
		await view(locals, lookAtPileGroup, {
			...{ group, from, most: Math.min(most, MOST_ROWS) },
			filter: pileFilterOf(url.searchParams)
		})
	);
};
