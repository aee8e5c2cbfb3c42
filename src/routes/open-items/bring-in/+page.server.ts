import { ok, type Result } from '$lib/core/result';
import { addDays, firstOfMonth } from '$lib/core/day/arithmetic';
import { hasDocuments } from '$lib/server/documents/store/has-documents';
import { histories } from '$lib/server/matching/queries/histories';
import { takeBackHistory } from '$lib/server/matching/commands/take-back-history';
import { readOpening } from '$lib/server/services/threads/opening-asked';
import type { DocumentTablesAsked, TablesAsked } from '$lib/server/services/threads/with-known-readings';
import { action, preview } from '$lib/server/platform/http/action';
import { readTableAnswers } from '$lib/server/services/threads/read-table-answers';
import { FORM_TEXT_BYTES, readFormSources } from '$lib/server/platform/http/read-form-text';
import { mayAct } from '$lib/server/platform/http/view';
import { actionInThread } from '$lib/server/services/threads/action-in-thread';
import type { PreviewSummed } from '$lib/server/services/threads/heavy-looks';
import { viewInThread } from '$lib/server/services/threads/view-in-thread';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => ({
	mayAct: mayAct(locals),
	histories: await histories(locals.app.books.db),
	/** What comes first into new books was owed before. */
	isFirst: !(await hasDocuments(locals.app.books.db)),
	/** The day that opening balances are of, as long as nobody says another: the end of the month before. */
	openingOn: addDays(firstOfMonth(await locals.app.today()), -1)
});

const WHAT = ['documents', 'customers', 'history'] as const;

/** Files and pasted rows, with what is said of how to read them. */
async function asked(form: FormData): Promise<Result<TablesAsked>> {
	const sources = await readFormSources(form);
	if (!sources.ok) return sources;
	const answers = readTableAnswers(form);
	if (!answers.ok) return answers;
	const leaveOut = String(form.get('leaveOut') ?? '').slice(0, 64);
	return ok({ sources: sources.value, answers: answers.value, leaveOut });
}

/** The same of documents, which may be opening balances. */
async function documentsAsked(form: FormData): Promise<Result<DocumentTablesAsked>> {
	const given = await asked(form);
	if (!given.ok) return given;
	const opening = readOpening(form);
	return opening.ok ? ok({ ...given.value, opening: opening.value }) : opening;
}

export const actions = {
	preview: preview(
		'clerk',
		async (_, form, { locals }) => {
			const what = WHAT.find((one) => one === form.get('what')) ?? 'documents';
			const given = await documentsAsked(form);
			if (!given.ok) return given;
			const found: PreviewSummed = await viewInThread(locals, `preview-${what}`, given.value);
			return ok({ what, ...found });
		},
		FORM_TEXT_BYTES
	),
	customers: actionInThread(
		'bring-in-customers',
		async (_, form) => {
			const given = await asked(form);
			return given.ok ? ok({ ...given.value, takeChanges: form.get('takeChanges') === 'on' }) : given;
		},
		FORM_TEXT_BYTES
	),
	history: actionInThread('bring-in-history', (_, form) => asked(form), FORM_TEXT_BYTES),
	takeBack: action(takeBackHistory),
	documents: actionInThread('bring-in-documents', (_, form) => documentsAsked(form), FORM_TEXT_BYTES)
};
