import { view } from '$lib/server/http/view';
import { lookAtPeople } from '$lib/server/looks/people';
import { action } from '$lib/server/http/action';
import { addPerson, changeRole } from '$lib/server/acts/people';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => {
	return view(locals, lookAtPeople, null);
};

export const actions = {
	add: action(addPerson),
	role: action(changeRole)
};
