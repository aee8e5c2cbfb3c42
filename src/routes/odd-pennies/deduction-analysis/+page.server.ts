import { view } from '$lib/server/http/view';
import { lookAtDeductions } from '$lib/server/looks/deduction-analysis';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => {
	return view(locals, lookAtDeductions, null);
};
