import { error } from '@sveltejs/kit';
import { ok } from '$lib/core/result';
import { idFromText } from '$lib/server/act/fields';
import { mayAct, view } from '$lib/server/platform/http/view';
import { lookAtClaim } from '$lib/server/claims/queries/claim';
import { action, shaped } from '$lib/server/platform/http/action';
import { changeClaim } from '$lib/server/claims/commands/change-claim';
import { decideClaims } from '$lib/server/claims/commands/decide-claims';
import { CLAIM_FILE_BYTES, fileClaim } from '$lib/server/claims/commands/file-claim';
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
		most: 4 * CLAIM_FILE_BYTES,
		prepare: async (fields, form) => {
			const read = shaped(z.object({ claimId: idFromText }), fields);
			if (!read.ok) return read;
			const given = form.getAll('files').filter((one): one is File => one instanceof File && one.name !== '');
			const files = await Promise.all(
				given.map(async (file) => ({
					...{ name: file.name, type: file.type },
					content: Buffer.from(await file.arrayBuffer())
				}))
			);
			return ok({ ...read.value, files });
		}
	}),
	decide: action(decideClaims)
};
