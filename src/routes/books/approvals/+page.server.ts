import { view } from '$lib/server/platform/http/view';
import { agreesToTwoPersonAct, lookAtApprovals } from '$lib/server/approvals/queries/approvals';
import { action } from '$lib/server/platform/http/action';
import { answerApproval } from '$lib/server/approvals/commands/answer-approval';
import { tellTakenOff } from '$lib/server/services/tell-taken-off';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => {
	const found = await view(locals, lookAtApprovals, null);
	return { ...found, mayAnswer: locals.who!.role === 'supervisor' };
};

export const actions = {
	/** Agreeing to what takes two people takes the password, too. */
	answer: action(answerApproval, {
		then: ({ actId }, { locals }) => tellTakenOff(locals.app, actId),
		confirm: (fields, { locals }) => view(locals, agreesToTwoPersonAct, fields)
	})
};
