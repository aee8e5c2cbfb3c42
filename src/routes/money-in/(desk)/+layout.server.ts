import { view } from '$lib/server/platform/http/view';
import { countInApproval } from '$lib/server/approvals/queries/approvals';
import { lookAtPile } from '$lib/server/receipts/queries/pile';
import { FIRST_ROWS } from '$lib/trade/pile-rows';
import type { LayoutServerLoad } from './$types';

/** The pile, apart from the desk: going from one receipt to the next does not read it anew. */
export const load: LayoutServerLoad = async ({ locals, depends }) => {
	depends('books:pile');
	return {
		...(await view(locals, lookAtPile, { most: FIRST_ROWS })),
		inApproval: await view(locals, countInApproval, null)
	};
};
