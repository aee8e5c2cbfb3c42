import { view } from '$lib/server/platform/http/view';
import { lookAtPeriods } from '$lib/server/periods/queries/periods';
import { action } from '$lib/server/platform/http/action';
import { lockPeriod, unlockPeriod } from '$lib/server/periods/commands/lock-period';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => {
	const periods = await view(locals, lookAtPeriods, null);
	return { ...periods, mayLock: locals.who!.role === 'supervisor' };
};

export const actions = {
	lock: action(lockPeriod, { then: (_, { locals }) => locals.app.anchors.locked() }),
	unlock: action(unlockPeriod)
};
