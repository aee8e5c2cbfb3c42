import { mayAct, view } from '$lib/server/http/view';
import { countApprovals } from '$lib/server/looks/approvals';
import { lookAtOddPennies } from '$lib/server/looks/odd-pennies';
import { action } from '$lib/server/http/action';
import { decideClaims } from '$lib/server/acts/decide-claims';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => {
	const found = await view(locals, lookAtOddPennies, null);
	const waiting = await view(locals, countApprovals, null);
	return { ...found, waiting, mayAct: mayAct(locals) };
};

export const actions = {
	decide: action(decideClaims)
};
