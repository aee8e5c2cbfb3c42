import { error, json } from '@sveltejs/kit';
import { countIn } from '$lib/server/platform/http/row-number';
import { view } from '$lib/server/platform/http/view';
import { lookAtCertain } from '$lib/server/receipts/queries/certain';
import { pileFilterOf } from '$lib/server/services/answers/pile-filter';
import { MOST_ROWS } from '$lib/trade/pile-rows';
import type { RequestHandler } from './$types';

/** What is certain, with all that posting does and why, from one place on. */
export const GET: RequestHandler = async ({ locals, url }) => {
	const from = countIn(url.searchParams.get('from'));
	const most = countIn(url.searchParams.get('most'));
	if (from === null || most === null) error(400, 'Say from where, and how many.');
	return json(
		await view(locals, lookAtCertain, {
			...{ from, most: Math.min(most, MOST_ROWS) },
			filter: pileFilterOf(url.searchParams)
		})
	);
};
