import { look } from '$lib/server/platform/http/refuse';
import { view } from '$lib/server/platform/http/view';
import { lookAtTasks } from '$lib/server/letters/queries/calls';
import { countApprovals } from '$lib/server/approvals/queries/approvals';
import { sumPile } from '$lib/server/services/answers/sum-pile';
import { runsCounted } from '$lib/server/services/answers/runs-counted';
import { viewInThread } from '$lib/server/services/threads/view-in-thread';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => {
	const viewer = { who: locals.who!, today: await locals.app.today() };
	const pile = await sumPile(locals.app.books.db);
	const [work, settingUp, runs] = await Promise.all([
		viewInThread(locals, 'today', pile),
		viewInThread(locals, 'setting-up', null),
		look(runsCounted(locals.app.books.db, pile.customers, viewer))
	]);
	return {
		...{ work, settingUp },
		tasks: (await view(locals, lookAtTasks, null)).length,
		approvals: await view(locals, countApprovals, null),
		...runs
	};
};
