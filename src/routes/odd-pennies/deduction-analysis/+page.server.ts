import { view } from '$lib/server/platform/http/view';
import { lookAtDeductions } from '$lib/server/claims/queries/deduction-analysis';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => {
	return view(locals, lookAtDeductions, null);
};
