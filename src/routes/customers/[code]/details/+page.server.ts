import { error } from '@sveltejs/kit';
import { view } from '$lib/server/platform/http/view';
import { action } from '$lib/server/platform/http/action';
import { changeCustomer } from '$lib/server/customers/commands/change-customer';
import { closeAccount, reopenAccount } from '$lib/server/customers/commands/close-account';
import { mergeAccounts } from '$lib/server/customers/commands/merge-accounts';
import { namesOfPolicies } from '$lib/server/letters/queries/policies';
import { lookAtNamedTerms } from '$lib/server/firm/queries/named-terms';
import { lookAtDetails } from '$lib/server/customers/queries/customer-details';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, params }) => {
	const customer = await view(locals, lookAtDetails, params.code);
	if (!customer) error(404, `There is no account ${params.code}.`);
	return {
		customer,
		terms: await view(locals, lookAtNamedTerms, null),
		ways: await view(locals, namesOfPolicies, null)
	};
};

export const actions = {
	change: action(changeCustomer),
	merge: action(mergeAccounts),
	close: action(closeAccount),
	reopen: action(reopenAccount)
};
