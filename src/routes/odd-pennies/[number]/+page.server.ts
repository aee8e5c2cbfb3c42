import { error } from '@sveltejs/kit';
import { ok } from '$lib/core/result';
import { idFromText } from '$lib/server/act/fields';
import { mayAct, view } from '$lib/server/platform/http/view';
import { lookAtClaim } from '$lib/server/claims/queries/claim';
import { action, shaped } from '$lib/server/platform/http/action';
import { changeClaim } from '$lib/server/claims/commands/change-claim';
import { decideClaims } from '$lib/server/claims/commands/decide-claims';
import { KEPT_FILE_BYTES } from '$lib/server/act/kept-files';
import { keptFilesOfForm } from '$lib/server/platform/http/kept-files-of-form';
import { fileClaim } from '$lib/server/claims/commands/file-claim';
import { noteClaim } from '$lib/server/claims/commands/note-claim';
import { z } from 'zod';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, params }) => {
	const claim = await view(locals, lookAtClaim, params.number);
	if (!claim) error(404, `There is no claim ${params.number}.`);
	return { claim, mayAct: mayAct(locals) };
};

export const actions = {
	note: action(noteClaim),
	change: action(changeClaim),
	file: action(fileClaim, {
		most: 4 * KEPT_FILE_BYTES,
		prepare: async (fields, form) => {
			const read = shaped(z.object({ claimId: idFromText }), fields);
			return read.ok ? ok({ ...read.value, files: await keptFilesOfForm(form) }) : read;
		}
	}),
	decide: action(decideClaims)
};
