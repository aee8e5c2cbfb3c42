import { redirect } from '@sveltejs/kit';
import { chargeInterest } from '$lib/server/interest/commands/charge-interest';
import { setInterest } from '$lib/server/interest/commands/set-interest';
import { lookAtInterestRuns } from '$lib/server/interest/queries/interest-charged';
import { action } from '$lib/server/platform/http/action';
import { mayAct, view } from '$lib/server/platform/http/view';
import { whoseMoneyWaits } from '$lib/server/services/answers/whose-money-waits';
import { viewInThread } from '$lib/server/services/threads/view-in-thread';
import { readInterestQuery } from './read-query';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, url }) => {
	const day = await locals.app.today();
	const query = readInterestQuery(url, day);
	return {
		...{ query, day },
		...(await viewInThread(locals, 'interest', query)),
		/** Whose receipts wait: what they paid is not known yet, nor from which day. */
		waiting: await whoseMoneyWaits(locals.app.books.db),
		runs: await view(locals, lookAtInterestRuns, null),
		mayAct: mayAct(locals),
		maySet: mayAct(locals) && locals.who?.role === 'supervisor'
	};
};

/** Five thousand accounts, each with what was seen of it. */
const CHARGE_BYTES = 2_000_000;

export const actions = {
	charge: action(chargeInterest, {
		most: CHARGE_BYTES,
		then: ({ actId }) => redirect(303, `/letters/interest/charged/${actId}`)
	}),
	terms: action(setInterest)
};
