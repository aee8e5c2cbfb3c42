import { view } from '$lib/server/platform/http/view';
import { countApprovals } from '$lib/server/approvals/queries/approvals';
import { whoseMoneyWaits } from '$lib/server/services/answers/whose-money-waits';
import { sumPile } from '$lib/server/services/answers/sum-pile';
import { viewInThread } from '$lib/server/services/threads/view-in-thread';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => {
	const { db } = locals.app.books;
	const work = await viewInThread(locals, 'today', await sumPile(db));
	const waiting = await whoseMoneyWaits(db, false);
	const runs = await viewInThread(locals, 'letters-count', { waiting });
	const approvals = await view(locals, countApprovals, null);
	return { work, approvals, ...runs };
};
