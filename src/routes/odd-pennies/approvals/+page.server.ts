import { view } from '$lib/server/http/view';
import { lookAtApprovals } from '$lib/server/looks/approvals';
import { action } from '$lib/server/http/action';
import { answerApproval } from '$lib/server/acts/answer-approval';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => {
	const found = await view(locals, lookAtApprovals, null);
	return { ...found, mayAnswer: locals.who!.role === 'supervisor' };
};

export const actions = {
	answer: action(answerApproval)
};
