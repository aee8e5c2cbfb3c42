import { error, json } from '@sveltejs/kit';
import { z } from 'zod';
import { MOST_AMOUNT } from '$lib/core/money/minor';
import { view } from '$lib/server/platform/http/view';
import { whoCouldOwe } from '$lib/server/matching/queries/who-could-owe';
import type { RequestHandler } from './$types';

const asked = z.object({
	amount: z.coerce.number().int().positive().max(MOST_AMOUNT),
	currency: z.string().length(3)
});

/** Sets of open items that come to an amount, over all customers. */
export const GET: RequestHandler = async ({ locals, url }) => {
	const input = asked.safeParse(Object.fromEntries(url.searchParams));
	if (!input.success) error(400, 'An amount above zero and a currency are needed.');
	return json(await view(locals, whoCouldOwe, input.data));
};
