import { error } from '@sveltejs/kit';
import { view } from '$lib/server/http/view';
import { lookAtPlacings } from '$lib/server/looks/placings';
import { action } from '$lib/server/http/action';
import { moveReceipts } from '$lib/server/acts/move-receipts';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, params }) => {
	const found = await view(locals, lookAtPlacings, params.code);
	if (!found) error(404, `There is no account ${params.code}.`);
	return found;
};

export const actions = {
	default: action(moveReceipts)
};
