import { error } from '@sveltejs/kit';
import { action } from '$lib/server/platform/http/action';
import { mayAct } from '$lib/server/platform/http/view';
import { openAccount } from '$lib/server/customers/commands/open-account';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = ({ locals }) => {
	if (!mayAct(locals)) error(403, 'Opening an account takes a clerk.');
};

export const actions = { open: action(openAccount) };
