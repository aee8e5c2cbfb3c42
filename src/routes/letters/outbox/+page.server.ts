import { redirect } from '@sveltejs/kit';
import { LETTER_KINDS } from '$lib/core/7-letters/letter';
import { parseDay } from '$lib/core/day/day';
import { readPage } from '$lib/server/platform/http/read-page';
import { rowNumber } from '$lib/server/platform/http/row-number';
import { printLetters } from '$lib/server/letters/commands/print-letters';
import { sendAgain } from '$lib/server/letters/commands/send-again';
import { mayAct, view } from '$lib/server/platform/http/view';
import { lookAtOutbox, OUTBOX_STATES, type OutboxQuery } from '$lib/server/letters/queries/outbox';
import { action } from '$lib/server/platform/http/action';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, url, depends }) => {
	depends('books:outbox');
	const given = (name: string) => url.searchParams.get(name)?.trim() ?? '';
	const kind = LETTER_KINDS.find((one) => one === given('kind'));
	const state = OUTBOX_STATES.find((one) => one === given('state'));
	const [from, to] = [parseDay(given('from')), parseDay(given('to'))];
	const runId = rowNumber(given('run'));
	const words = given('q').slice(0, 200);
	const query: OutboxQuery = {
		page: readPage(url),
		...(kind ? { kind } : {}),
		...(state ? { state } : {}),
		...(from ? { from } : {}),
		...(to ? { to } : {}),
		...(runId ? { runId } : {}),
		...(words ? { words } : {})
	};
	return {
		...(await view(locals, lookAtOutbox, query)),
		query,
		/** What stands in the way of all letters; null for nothing. */
		trouble: locals.app.postOffice.trouble,
		day: await locals.app.today(),
		mayAct: mayAct(locals)
	};
};

export const actions = {
	again: action(sendAgain, { then: (_, { locals }) => locals.app.postOffice.wake() }),
	print: action(printLetters, { then: ({ actId }) => redirect(303, `/letters/printed/${actId}`) })
};
