import type { ReceiptFacts } from '../../model/records';
import { sumOf } from '../../money/add';
import type { Reason } from '../answer';
import type { Draft } from './draft';
import type { Named } from '../named/find-named';
import type { Payer } from '../payer/find-payer';
import { linesFor, signedOpen } from './lines-for';
import { nearNumbers } from '../named/near-numbers';
import type { MatchIndex } from '../match-index';

/**
 * Answers a receipt that has one of the payer's numbers not quite right, where the item is open at just what came, or at what
 * the other named items leave of it; null where none is, or several. Certain where nothing else is named, for payer and amount
 * agree to the penny.
 */
export function answerNearly(
	receipt: ReceiptFacts,
	named: Named,
	payer: Payer,
	index: MatchIndex
): Draft | null {
	if (payer.customerIds.length === 0 || payer.by === 'words') return null;
	if (payer.by === 'nothing') return ofShared(receipt, named, payer, index);
	const customerId = payer.customerIds[0]!;
	const own = named.items.filter((item) => item.customerId === customerId);
	const whole = nearNumbers(receipt, payer, index, receipt.amount);
	const rest = receipt.amount - sumOf(own, signedOpen);
	const beside =
		whole.length === 0 && own.length > 0 && rest > 0
			? nearNumbers(receipt, payer, index, rest, named.recognised).filter(
					(one) => !own.some((item) => item.documentId === one.item.documentId)
				)
			: [];
	const found = whole.length > 0 ? whole : beside;
	const [near] = found;
	if (!near || found.length > 1) return null;
	const items = whole.length > 0 ? [near.item] : [...own, near.item];
	// What is named plainly and comes to the sum needs no help.
	if (named.items.some((item) => item.documentId === near.item.documentId)) return null;
	const { currency, amount } = receipt;
	const reasons: Reason[] = [
		...payer.reasons,
		{ code: 'number-nearly', words: near.words, number: near.item.number, how: near.how },
		{ code: 'adds-up', amount, currency, items: items.length }
	];
	// Of equal items a slip in the number may mean any; a letter for the digit that it looks like means just one.
	const equal = (index.itemsOf.get(customerId) ?? []).filter(
		(item) => item.open === near.item.open && item.currency === currency && item.kind === near.item.kind
	);
	const known = payer.by === 'account' || payer.by === 'name';
	const alone = equal.length === 1 || near.how === 'letter';
	const sure = known && alone && (named.items.length === 0 || whole.length === 0);
	return {
		...{ band: sure ? 'certain' : 'likely', customerId, lines: linesFor(items, amount).lines, reasons },
		...{ others: [], otherAnswers: 0 }
	};
}

/** Of a name that several accounts share: the one account that has such a number, for a look. */
function ofShared(receipt: ReceiptFacts, named: Named, payer: Payer, index: MatchIndex): Draft | null {
	const drafts = payer.customerIds.flatMap(
		(id) => answerNearly(receipt, named, { ...payer, customerIds: [id], by: 'part' }, index) ?? []
	);
	return drafts.length === 1 ? drafts[0]! : null;
}
