import { error } from '@sveltejs/kit';
import { action } from '$lib/server/platform/http/action';
import { mayAct, view } from '$lib/server/platform/http/view';
import { namesOfPolicies } from '$lib/server/letters/queries/policies';
import { lookAtNamedTerms } from '$lib/server/firm/queries/named-terms';
import { openAccount } from '$lib/server/customers/commands/open-account';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => {
	if (!mayAct(locals)) error(403, 'Opening an account takes a clerk.');
	return {
		terms: await view(locals, lookAtNamedTerms, null),
		ways: await view(locals, namesOfPolicies, null)
	};
};

export const actions = { open: action(openAccount) };
