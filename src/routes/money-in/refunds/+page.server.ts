import { view } from '$lib/server/http/view';
import { lookAtRefunds } from '$lib/server/looks/refunds';
import { action } from '$lib/server/http/action';
import { makeRefundFile } from '$lib/server/acts/make-refund-file';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => {
	const refunds = await view(locals, lookAtRefunds, null);
	return { ...refunds, mayMake: locals.who!.role === 'supervisor' };
};

export const actions = {
	file: action(makeRefundFile)
};
