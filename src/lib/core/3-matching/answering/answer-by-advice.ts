import type { ReceiptFacts } from '../../model/records';
import { minor } from '../../money/minor';
import type { AnswerLine, Reason } from '../answer';
import type { Draft } from './draft';
import type { Payer } from '../payer/find-payer';
import { matchAdvice } from '../named/match-advice';
import { weigh } from './weigh';
import type { KeptAdvice } from '../match-books';
import type { MatchIndex } from '../match-index';

/**
 * Answers a receipt by a remittance advice that was kept for it: one of the payer's, or of anybody where the payer is not
 * known, that comes to just this sum. Null where there is none, or more than one.
 */
export function answerByAdvice(receipt: ReceiptFacts, payer: Payer, index: MatchIndex): Draft | null {
	const known = payer.by !== 'nothing' && payer.customerIds.length > 0;
	const fitting = index.advices.filter(
		(one) =>
			one.total === receipt.amount &&
			one.currency === receipt.currency &&
			(!known || payer.customerIds.includes(one.customerId))
	);
	const [advice] = fitting;
	if (!advice || fitting.length > 1) return null;
	const { lines, whole } = linesOf(advice, index);
	const named = lines.some((line) => line.differences.length > 0);
	const reasons: Reason[] = [
		...payer.reasons,
		{
			code: 'advice-kept',
			date: advice.date,
			customer: index.customers.get(advice.customerId)!.name,
			amount: receipt.amount,
			currency: receipt.currency,
			items: lines.length,
			whole
		}
	];
	// What was taken off is for a person to agree to, even where the customer says why.
	const band = !whole
		? 'choose'
		: weigh({
				payer: named ? 'nothing' : payer.by,
				owner: known && !named ? 'payer' : 'unknown-payer',
				amount: 'exact',
				others: 0
			});
	return {
		...{ band, customerId: advice.customerId, lines, reasons, others: [], otherAnswers: 0 },
		adviceId: advice.id
	};
}

/** The lines that can be laid as the advice says them; whole where that is all of them, to the penny. */
function linesOf(advice: KeptAdvice, index: MatchIndex): { lines: AnswerLine[]; whole: boolean } {
	const accounts = [advice.customerId, ...(index.children.get(advice.customerId) ?? [])];
	const items = accounts.flatMap((id) => index.itemsOf.get(id) ?? []);
	const own = items.filter((item) => item.currency === advice.currency);
	const lines: AnswerLine[] = [];
	const matched = matchAdvice(advice.lines, own);
	for (const { item, paid, deduction, wrong } of matched) {
		if (!item || (wrong && paid !== null)) continue;
		const open = item.kind === 'credit_note' ? -item.open : item.open;
		lines.push({
			itemId: item.id,
			cash: minor(paid ?? open),
			differences: deduction ? [{ kind: deduction.kind, amount: deduction.amount }] : []
		});
	}
	const sum = lines.reduce((all, line) => all + line.cash, 0);
	return { lines, whole: lines.length === matched.length && sum === advice.total };
}
