import { view } from '$lib/server/platform/http/view';
import { lookAtRefunds } from '$lib/server/refunds/queries/refunds';
import { action } from '$lib/server/platform/http/action';
import { makeRefundFile } from '$lib/server/refunds/commands/make-refund-file';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => {
	const refunds = await view(locals, lookAtRefunds, null);
	return { ...refunds, mayMake: locals.who!.role === 'supervisor' };
};

export const actions = {
	file: action(makeRefundFile)
};
