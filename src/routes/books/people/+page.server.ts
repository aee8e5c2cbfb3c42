import { view } from '$lib/server/platform/http/view';
import { lookAtPeople } from '$lib/server/people/queries/people';
import { action } from '$lib/server/platform/http/action';
import { addPerson, changeRole } from '$lib/server/people/commands/people';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => {
	return view(locals, lookAtPeople, null);
};

export const actions = {
	add: action(addPerson),
	role: action(changeRole)
};
