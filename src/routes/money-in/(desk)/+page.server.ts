import { error } from '@sveltejs/kit';
import { rowNumber, rowNumbers } from '$lib/server/platform/http/row-number';
import { allocateReceipt } from '$lib/server/allocation/commands/allocate-receipt';
import { joinParts } from '$lib/server/receipts/commands/split-receipt';
import { matchBankEntry } from '$lib/server/receipts/commands/match-bank-entry';
import { mayAct, view } from '$lib/server/platform/http/view';
import { whereReceiptIs } from '$lib/server/receipts/queries/where-receipt-is';
import { lookAtDesk } from '$lib/server/allocation/queries/desk';
import { lookAtPlace } from '$lib/server/receipts/queries/pile';
import { reasonSentence } from '$lib/words';
import { ok } from '$lib/core/result';
import { actionInThread } from '$lib/server/services/threads/action-in-thread';
import { action } from '$lib/server/platform/http/action';
import { bookUnidentified } from '$lib/server/receipts/commands/book-unidentified';
import { openAccount } from '$lib/server/customers/commands/open-account';
import { putOnAccount } from '$lib/server/allocation/commands/put-on-account';
import { pileFilterOf } from '$lib/server/services/answers/pile-filter';
import { holdReceipt, holdReceipts } from '$lib/server/receipts/commands/hold-receipt';
import { setAside } from '$lib/server/receipts/commands/set-aside';
import { matchBankReturn } from '$lib/server/returns/commands/match-bank-return';
import { undoActs } from '$lib/server/allocation/commands/undo-acts';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, url, depends }) => {
	depends('books:pile');
	const asked = rowNumber(url.searchParams.get('receipt'));
	// An account whose credits are allocated, without new money.
	const credits = rowNumber(url.searchParams.get('credits'));
	const filter = pileFilterOf(url.searchParams);
	const { receiptId, ...where } = await view(locals, lookAtPlace, {
		...{ asked: credits ? null : (asked ?? 'first'), filter }
	});
	const customerId = credits ?? rowNumber(url.searchParams.get('customer'));
	const also = rowNumbers(url.searchParams.get('accounts'));
	// These items are allocated instead of what was proposed.
	const lay = rowNumbers(url.searchParams.get('items'));
	const desk = receiptId || credits ? await view(locals, lookAtDesk, { receiptId, customerId, also }) : null;
	const gone = asked !== null && desk === null ? await view(locals, whereReceiptIs, asked) : null;
	if (asked !== null && desk === null && gone === null) error(404, 'There is no such receipt.');
	if (credits !== null && desk === null) error(404, 'There is no such customer account.');
	return {
		desk,
		...where,
		lay,
		reasons: desk?.answer ? desk.answer.reasons.map(reasonSentence) : [],
		gone,
		mayAct: mayAct(locals)
	};
};

export const actions = {
	post: action(allocateReceipt),
	certain: actionInThread('post-certain', (fields) => ok(fields as never)),
	undo: action(undoActs),
	hold: action(holdReceipt),
	match: action(matchBankEntry),
	matchReturn: action(matchBankReturn),
	join: action(joinParts),
	unidentified: action(bookUnidentified),
	aside: action(setAside),
	openAccount: action(openAccount),
	holdSeveral: action(holdReceipts),
	onAccount: action(putOnAccount)
};
