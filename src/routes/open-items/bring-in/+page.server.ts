import { z } from 'zod';
import { ok, type Result } from '$lib/core/result';
import { TABLE_ANSWER } from '$lib/server/firm/store/table-answer';
import type { TablesAsked } from '$lib/server/services/threads/with-known-readings';
import { preview, shaped } from '$lib/server/platform/http/action';
import { FORM_TEXT_BYTES, readFormSources } from '$lib/server/platform/http/read-form-text';
import { mayAct } from '$lib/server/platform/http/view';
import { actionInThread } from '$lib/server/services/threads/action-in-thread';
import type { PreviewSummed } from '$lib/server/services/threads/heavy-looks';
import { viewInThread } from '$lib/server/services/threads/view-in-thread';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = ({ locals }) => ({ mayAct: mayAct(locals) });

/** Files and pasted rows, with what is said of how to read them. */
async function asked(form: FormData): Promise<Result<TablesAsked>> {
	const sources = await readFormSources(form);
	if (!sources.ok) return sources;
	const answers = shaped(ANSWERS, jsonIn(form.get('answers')));
	return answers.ok ? ok({ sources: sources.value, answers: answers.value }) : answers;
}

const ANSWERS = z
	.array(TABLE_ANSWER, 'What was said of the columns cannot be read. Load the page again.')
	.max(20);

/** What a field holds as JSON; null where it holds none. */
function jsonIn(given: FormDataEntryValue | null): unknown {
	try {
		return given ? JSON.parse(String(given)) : [];
	} catch {
		return null;
	}
}

export const actions = {
	preview: preview(
		'clerk',
		async (_, form, { locals }) => {
			const what = form.get('what') === 'customers' ? 'customers' : 'documents';
			const given = await asked(form);
			if (!given.ok) return given;
			const found: PreviewSummed = await viewInThread(locals, `preview-${what}`, given.value);
			return ok({ what, ...found });
		},
		FORM_TEXT_BYTES
	),
	customers: actionInThread('bring-in-customers', (_, form) => asked(form), FORM_TEXT_BYTES),
	documents: actionInThread('bring-in-documents', (_, form) => asked(form), FORM_TEXT_BYTES)
};
