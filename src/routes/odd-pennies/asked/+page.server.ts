import { answerApproval, answerApprovalInput } from '$lib/server/acts/answer-approval';
import { perform } from '$lib/server/acts/perform';
import { readForm } from '$lib/server/http/read-form';
import { look, refuse } from '$lib/server/http/refuse';
import { lookAtApprovals } from '$lib/server/looks/approvals';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => {
	const viewer = { who: locals.who!, today: await locals.app.today() };
	const found = await look(lookAtApprovals(locals.app.books.db, null, viewer));
	return { ...found, mayAnswer: locals.who!.role === 'supervisor' };
};

export const actions: Actions = {
	answer: async ({ request, locals }) => {
		const read = await readForm(request, answerApprovalInput);
		if (!read.ok) return refuse(read.problems);
		const at = await locals.app.circumstance(locals.who!);
		const result = await perform(locals.app.books, answerApproval, read.value, at);
		return result.ok ? { done: result.value.actId } : refuse(result.problems);
	}
};
