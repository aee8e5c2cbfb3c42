import { rowNumber } from '$lib/server/platform/http/row-number';
import { error } from '@sveltejs/kit';
import { mayAct, view } from '$lib/server/platform/http/view';
import { lookAtDesk } from '$lib/server/allocation/queries/desk';
import { lookAtPayouts } from '$lib/server/receipts/queries/payouts';
import { lookAtProcessors } from '$lib/server/firm/queries/processors';
import { action } from '$lib/server/platform/http/action';
import { splitReceipt } from '$lib/server/receipts/commands/split-receipt';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, url }) => {
	const receiptId = rowNumber(url.searchParams.get('receipt'));
	const desk =
		receiptId === null ? null : await view(locals, lookAtDesk, { receiptId, customerId: null, also: [] });
	if (receiptId !== null && !desk?.receipt)
		error(404, 'This entry is not in the pile any more: it has been dealt with.');
	return {
		entry: desk?.receipt ? { receipt: desk.receipt, bank: desk.bank, payout: desk.payout } : null,
		payouts: receiptId === null ? await view(locals, lookAtPayouts, null) : [],
		processors: await view(locals, lookAtProcessors, null),
		mayAct: mayAct(locals)
	};
};

export const actions = {
	split: action(splitReceipt)
};
