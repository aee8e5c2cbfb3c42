import { view } from '$lib/server/platform/http/view';
import { lookAtApprovals } from '$lib/server/allocation/queries/approvals';
import { action } from '$lib/server/platform/http/action';
import { answerApproval } from '$lib/server/allocation/commands/answer-approval';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => {
	const found = await view(locals, lookAtApprovals, null);
	return { ...found, mayAnswer: locals.who!.role === 'supervisor' };
};

export const actions = {
	answer: action(answerApproval)
};
