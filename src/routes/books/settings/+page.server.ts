import { view } from '$lib/server/http/view';
import { lookAtSettings } from '$lib/server/looks/settings';
import { action } from '$lib/server/http/action';
import { addBankAccount } from '$lib/server/acts/add-bank-account';
import { setLimits } from '$lib/server/acts/set-limits';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => {
	return view(locals, lookAtSettings, null);
};

export const actions = {
	limits: action(setLimits),
	bank: action(addBankAccount)
};
