import { error, redirect } from '@sveltejs/kit';
import { rowNumber } from '$lib/server/platform/http/row-number';
import { readPage } from '$lib/server/platform/http/read-page';
import { action } from '$lib/server/platform/http/action';
import { mayAct, view } from '$lib/server/platform/http/view';
import { pauseRun, resumeRun, withdrawLetters } from '$lib/server/letters/commands/steer-run';
import { sendAgain } from '$lib/server/letters/commands/send-again';
import { printLetters } from '$lib/server/letters/commands/print-letters';
import { lookAtOneRun, RUN_LETTERS_PAGE } from '$lib/server/letters/queries/runs';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, params, url, depends }) => {
	depends('books:run');
	const page = readPage(url);
	const run = await view(locals, lookAtOneRun, { id: rowNumber(params.id) ?? 0, page });
	if (!run) error(404, 'There is no such run of letters.');
	return { run, page, perPage: RUN_LETTERS_PAGE, mayAct: mayAct(locals) };
};

export const actions = {
	pause: action(pauseRun),
	resume: action(resumeRun, {
		then: (_, { locals }) => {
			locals.app.letterWriter.wake();
			locals.app.postOffice.wake();
		}
	}),
	withdraw: action(withdrawLetters),
	again: action(sendAgain, { then: (_, { locals }) => locals.app.postOffice.wake() }),
	print: action(printLetters, { then: ({ actId }) => redirect(303, `/letters/printed/${actId}`) })
};
