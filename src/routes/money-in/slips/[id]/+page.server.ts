import { rowNumber } from '$lib/server/platform/http/row-number';
import { error } from '@sveltejs/kit';
import { view } from '$lib/server/platform/http/view';
import { lookAtSlip } from '$lib/server/receipts/queries/manual-receipts';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, params }) => {
	const found = await view(locals, lookAtSlip, rowNumber(params.id) ?? 0);
	if (!found) error(404, 'There is no such paying-in slip.');
	return { found };
};
