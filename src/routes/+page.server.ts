import { view } from '$lib/server/http/view';
import { countApprovals } from '$lib/server/looks/approvals';
import { lookAtToday } from '$lib/server/looks/today';
import { countRuns } from '$lib/server/looks/letters';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => {
	const sheet = await view(locals, lookAtToday, null);
	const approvals = await view(locals, countApprovals, null);
	return { sheet, approvals, ...(await view(locals, countRuns, null)) };
};
