import { ok, type Result } from '$lib/core/result';
import { preview } from '$lib/server/platform/http/action';
import { actionInThread } from '$lib/server/services/threads/action-in-thread';
import { FORM_TEXT_BYTES, readFormSources } from '$lib/server/platform/http/read-form-text';
import { mayAct } from '$lib/server/platform/http/view';
import { viewInThread } from '$lib/server/services/threads/view-in-thread';
import type { PreviewSummed } from '$lib/server/services/threads/heavy-looks';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = ({ locals }) => ({ mayAct: mayAct(locals) });

export const actions = {
	preview: preview(
		'clerk',
		async (_, form, { locals }) => {
			const what = form.get('what') === 'customers' ? 'customers' : 'documents';
			const sources = await readFormSources(form);
			if (!sources.ok) return sources;
			const found: Result<PreviewSummed> = await viewInThread(locals, `preview-${what}`, sources.value);
			return found.ok ? ok({ what, ...found.value }) : found;
		},
		FORM_TEXT_BYTES
	),
	customers: actionInThread('bring-in-customers', (_, form) => readFormSources(form), FORM_TEXT_BYTES),
	documents: actionInThread('bring-in-documents', (_, form) => readFormSources(form), FORM_TEXT_BYTES)
};
