import { rowNumber } from '$lib/server/platform/http/row-number';
import { error } from '@sveltejs/kit';
import { addNote, takeOffNote } from '$lib/server/customers/commands/notes';
import { lookAtTimeline } from '$lib/server/customers/queries/timeline';
import { z } from 'zod';
import { ok } from '$lib/core/result';
import { idFromText } from '$lib/server/act/fields';
import { KEPT_FILE_BYTES } from '$lib/server/act/kept-files';
import { keepCustomerFiles, takeOffCustomerFiles } from '$lib/server/customers/commands/customer-files';
import { keptFilesOfForm } from '$lib/server/platform/http/kept-files-of-form';
import { action, shaped } from '$lib/server/platform/http/action';
import { mayAct, view } from '$lib/server/platform/http/view';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, params, url }) => {
	const before = rowNumber(url.searchParams.get('before'));
	const timeline = await view(locals, lookAtTimeline, { code: params.code, before });
	if (!timeline) error(404, `There is no account ${params.code}.`);
	return { timeline, paged: before !== null, mayAct: mayAct(locals) };
};

export const actions = {
	note: action(addNote),
	'take-off': action(takeOffNote),
	file: action(keepCustomerFiles, {
		most: 4 * KEPT_FILE_BYTES,
		prepare: async (fields, form) => {
			const read = shaped(z.object({ customerId: idFromText }), fields);
			return read.ok ? ok({ ...read.value, files: await keptFilesOfForm(form) }) : read;
		}
	}),
	'take-off-files': action(takeOffCustomerFiles)
};
