import { view } from '$lib/server/platform/http/view';
import { countApprovals } from '$lib/server/approvals/queries/approvals';
import { lookAtToday } from '$lib/server/reports/queries/today';
import { countRuns } from '$lib/server/letters/queries/letters';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => {
	const work = await view(locals, lookAtToday, null);
	const approvals = await view(locals, countApprovals, null);
	return { work, approvals, ...(await view(locals, countRuns, null)) };
};
