import type { ReceiptFacts } from '../../model/records';
import type { Answer } from '../answer';
import { NO_HABITS } from '../lessons/habits';
import type { MatchIndex } from '../match-index';
import { byHabitOfCharges, byStatedCharges, byUsualCharge } from './by-charges';
import { byDiscount } from './by-discount';
import { byNameAndTariff, byTariff, tariffsOf } from './by-tariff';
import { byClaim, bySmallness, byTax } from './by-words';
import { shortOf } from './short';

/**
 * Names the gap of answers that fall short, the first of these that fits: the discount of the terms; charges that the bank
 * states; the tariff of a processor, learned from what the same payer kept from several accounts in this pile and before; what
 * the words say, tax or a claim; charges that banks usually keep; and pennies.
 */
export function nameGaps(
	receipts: readonly ReceiptFacts[],
	answers: Map<number, Answer>,
	index: MatchIndex
): void {
	const byId = new Map([...index.itemsOf.values()].flat().map((item) => [item.id, item]));
	const shorts = receipts.flatMap((receipt) => shortOf(receipt, answers.get(receipt.id)!, byId) ?? []);
	const tariffs = tariffsOf(shorts, index.pastFees);
	for (const short of shorts) {
		const owner = short.answer.customerId;
		const habits = owner === null ? NO_HABITS : index.habitsOf(owner);
		const customer = owner === null ? '' : index.customers.get(owner)!.name;
		const named =
			byDiscount(short, habits) ??
			byStatedCharges(short) ??
			byTariff(short, tariffs) ??
			byTax(short, habits, index.baseCurrency) ??
			byClaim(short) ??
			byHabitOfCharges(short, habits, customer) ??
			byUsualCharge(short, index.baseCurrency) ??
			bySmallness(short);
		if (named) answers.set(short.receipt.id, named);
	}
	for (const receipt of receipts) {
		const named = byNameAndTariff(receipt, answers.get(receipt.id)!, tariffs, index);
		if (named) answers.set(receipt.id, named);
	}
}
