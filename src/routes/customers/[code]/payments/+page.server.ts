import { error } from '@sveltejs/kit';
import { view } from '$lib/server/platform/http/view';
import { lookAtPostings } from '$lib/server/allocation/queries/postings';
import { action } from '$lib/server/platform/http/action';
import { moveReceipts } from '$lib/server/allocation/commands/move-receipts';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, params }) => {
	const found = await view(locals, lookAtPostings, params.code);
	if (!found) error(404, `There is no account ${params.code}.`);
	return found;
};

export const actions = {
	default: action(moveReceipts)
};
