import { ok, type Result } from '$lib/core/result';
import { preview } from '$lib/server/platform/http/action';
import { FORM_TEXT_BYTES, readFormSources } from '$lib/server/platform/http/read-form-text';
import { readTableAnswers } from '$lib/server/services/threads/read-table-answers';
import { readDoubtAnswers } from '$lib/server/receipts/doubt-answers';
import { rowNumber } from '$lib/server/platform/http/row-number';
import { mayAct, view } from '$lib/server/platform/http/view';
import { actionInThread } from '$lib/server/services/threads/action-in-thread';
import type { BankTableAsked } from '$lib/server/services/threads/bank-tables';
import { viewInThread } from '$lib/server/services/threads/view-in-thread';
import { lookAtWaysToPay } from '$lib/server/receipts/queries/ways-to-pay';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => {
	const may = mayAct(locals);
	return { mayAct: may, banks: may ? (await view(locals, lookAtWaysToPay, null)).banks : [] };
};

/** The table, what is said of its columns, and of which account it is. */
async function asked(form: FormData): Promise<Result<BankTableAsked>> {
	const sources = await readFormSources(form);
	if (!sources.ok) return sources;
	const answers = readTableAnswers(form);
	if (!answers.ok) return answers;
	const bankAccountId = rowNumber(String(form.get('bankAccountId') ?? ''));
	return ok({ source: sources.value[0]!, answers: answers.value, bankAccountId });
}

export const actions = {
	preview: preview(
		'clerk',
		async (_, form, { locals }) => {
			const given = await asked(form);
			if (!given.ok) return given;
			const found = await viewInThread(locals, 'preview-bank-table', given.value);
			return found.ok ? ok({ ...found.value }) : found;
		},
		FORM_TEXT_BYTES
	),
	bringIn: actionInThread(
		'import-bank-file',
		async (_, form) => {
			const doubts = readDoubtAnswers(form);
			const given = doubts.ok ? await asked(form) : doubts;
			return given.ok && doubts.ok ? ok({ ...given.value, doubtAnswers: doubts.value }) : given;
		},
		FORM_TEXT_BYTES
	)
};
