import { view } from '$lib/server/platform/http/view';
import { lookAtTasks } from '$lib/server/letters/queries/calls';
import { countApprovals } from '$lib/server/approvals/queries/approvals';
import { sumPile } from '$lib/server/services/answers/sum-pile';
import { viewInThread } from '$lib/server/services/threads/view-in-thread';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => {
	const pile = await sumPile(locals.app.books.db);
	const [work, settingUp, runs] = await Promise.all([
		viewInThread(locals, 'today', pile),
		viewInThread(locals, 'setting-up', null),
		viewInThread(locals, 'letters-count', { waiting: pile.customers })
	]);
	return {
		...{ work, settingUp },
		tasks: (await view(locals, lookAtTasks, null)).length,
		approvals: await view(locals, countApprovals, null),
		...runs
	};
};
