import { dropPolicy, keepPolicy } from '$lib/server/letters/commands/keep-policy';
import { lookAtPolicies } from '$lib/server/letters/queries/policies';
import { action } from '$lib/server/platform/http/action';
import { mayAct, view } from '$lib/server/platform/http/view';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => ({
	...(await view(locals, lookAtPolicies, null)),
	maySet: mayAct(locals) && locals.who?.role === 'supervisor'
});

export const actions = { keep: action(keepPolicy), drop: action(dropPolicy) };
