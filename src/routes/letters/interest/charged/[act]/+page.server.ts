import { error, redirect } from '@sveltejs/kit';
import { z } from 'zod';
import { ok } from '$lib/core/result';
import { undoInterest } from '$lib/server/interest/commands/undo-interest';
import { lookAtInterestRun } from '$lib/server/interest/queries/interest-charged';
import { lookAtInterestLetters } from '$lib/server/interest/queries/interest-letters';
import { startRun } from '$lib/server/letters/commands/start-run';
import { lookAtNewest } from '$lib/server/letters/queries/letters';
import { idField } from '$lib/server/act/fields';
import { action, shaped } from '$lib/server/platform/http/action';
import { rowNumber } from '$lib/server/platform/http/row-number';
import { mayAct, view } from '$lib/server/platform/http/view';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, params }) => {
	const run = await view(locals, lookAtInterestRun, rowNumber(params.act) ?? 0);
	if (!run) error(404, 'Interest was not charged there.');
	const { chosen, unreached } = await view(locals, lookAtInterestLetters, run);
	return {
		...{ run, letters: chosen.length, unreached },
		seen: await view(locals, lookAtNewest, null),
		...{ day: await locals.app.today(), mayAct: mayAct(locals) }
	};
};

const lettersInput = z.object({
	run: idField,
	seen: z.object({ letter: z.number().int().min(0), run: z.number().int().min(0) })
});

export const actions = {
	undo: action(undoInterest),
	letters: action(startRun, {
		prepare: async (fields, _, { locals }) => {
			const read = shaped(lettersInput, fields);
			if (!read.ok) return read;
			const run = await view(locals, lookAtInterestRun, read.value.run);
			const { rows, chosen } = await view(locals, lookAtInterestLetters, run ?? { documents: [], told: {} });
			return ok({
				...{ kind: 'interest' as const, statement: null, note: '', copyTo: null },
				...{ seen: read.value.seen, rows, chosen }
			});
		},
		then: ({ runId }, { locals }) => {
			locals.app.letterWriter.wake();
			redirect(303, `/letters/runs/${runId}`);
		}
	})
};
