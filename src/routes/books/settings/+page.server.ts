import { view } from '$lib/server/platform/http/view';
import { lookAtSettings } from '$lib/server/firm/queries/settings';
import { action } from '$lib/server/platform/http/action';
import { addBankAccount } from '$lib/server/firm/commands/add-bank-account';
import { setLimits } from '$lib/server/firm/commands/set-limits';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => {
	return view(locals, lookAtSettings, null);
};

export const actions = {
	limits: action(setLimits),
	bank: action(addBankAccount)
};
