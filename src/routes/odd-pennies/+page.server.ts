import { mayAct, view } from '$lib/server/platform/http/view';
import { countApprovals } from '$lib/server/approvals/queries/approvals';
import { lookAtOddPennies } from '$lib/server/claims/queries/odd-pennies';
import { action } from '$lib/server/platform/http/action';
import { decideClaims } from '$lib/server/claims/commands/decide-claims';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => {
	const found = await view(locals, lookAtOddPennies, null);
	const waiting = await view(locals, countApprovals, null);
	return { ...found, waiting, mayAct: mayAct(locals) };
};

export const actions = {
	decide: action(decideClaims)
};
