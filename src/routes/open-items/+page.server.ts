import { rowNumber } from '$lib/server/platform/http/row-number';
import { error } from '@sveltejs/kit';
import { ok } from '$lib/core/result';
import { previewAct } from '$lib/server/approvals/store/preview-act';
import { action, preview, shaped } from '$lib/server/platform/http/action';
import { mayAct, view } from '$lib/server/platform/http/view';
import { lookAtWaysToPay } from '$lib/server/receipts/queries/ways-to-pay';
import { recordAsPaid, recordAsPaidInput } from '$lib/server/receipts/commands/record-as-paid';
import { lookAtItem } from '$lib/server/documents/queries/item-life';
import { z } from 'zod';
import { idFromText } from '$lib/server/act/fields';
import { KEPT_FILE_BYTES } from '$lib/server/act/kept-files';
import { attachPaper, takeOffPaper } from '$lib/server/documents/commands/attach-paper';
import { keptFilesOfForm } from '$lib/server/platform/http/kept-files-of-form';
import { PAGE, lookAtOpenItems } from '$lib/server/documents/queries/open-items';
import type { PageServerLoad } from './$types';
import { readOpenItemsQuery } from './read-query';

export const load: PageServerLoad = async ({ locals, url }) => {
	const query = readOpenItemsQuery(url);
	const itemId = rowNumber(url.searchParams.get('item'));
	const item = itemId ? await view(locals, lookAtItem, itemId) : null;
	if (itemId !== null && !item) error(404, 'There is no such item.');
	return {
		...(await view(locals, lookAtOpenItems, query)),
		query,
		pageSize: PAGE,
		item,
		mayAct: mayAct(locals),
		ways: mayAct(locals) ? await view(locals, lookAtWaysToPay, null) : null
	};
};

export const actions = {
	attach: action(attachPaper, {
		most: 2 * KEPT_FILE_BYTES,
		prepare: async (fields, form) => {
			const read = shaped(z.object({ documentId: idFromText }), fields);
			return read.ok ? ok({ ...read.value, files: await keptFilesOfForm(form) }) : read;
		}
	}),
	'take-off': action(takeOffPaper),
	paid: action(recordAsPaid),
	previewPaid: preview('clerk', async (fields, _, { locals }) => {
		const read = shaped(recordAsPaidInput, fields);
		if (!read.ok) return read;
		const shown = await previewAct(
			locals.app.books,
			recordAsPaid,
			read.value,
			await locals.app.context(locals.who!)
		);
		return shown.ok ? ok({ ...shown.value }) : shown;
	})
};
