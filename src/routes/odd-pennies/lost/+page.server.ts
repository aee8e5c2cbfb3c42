import { view } from '$lib/server/http/view';
import { lookAtLost } from '$lib/server/looks/lost';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => {
	return view(locals, lookAtLost, null);
};
