import { view } from '$lib/server/platform/http/view';
import { countInApproval } from '$lib/server/approvals/queries/approvals';
import { countReportedEntries } from '$lib/server/receipts/queries/reported-entries';
import { lookAtPile } from '$lib/server/receipts/queries/pile';
import { pileFilterOf } from '$lib/server/services/answers/pile-filter';
import { FIRST_ROWS } from '$lib/trade/pile-rows';
import type { LayoutServerLoad } from './$types';

/** The pile, apart from the desk: going from one receipt to the next does not read it anew. */
export const load: LayoutServerLoad = async ({ locals, url, depends }) => {
	depends('books:pile');
	return {
		...(await view(locals, lookAtPile, { most: FIRST_ROWS, filter: pileFilterOf(url.searchParams) })),
		inApproval: await view(locals, countInApproval, null),
		reported: await view(locals, countReportedEntries, null)
	};
};
