import { addDays, daysBetween } from '../../day/arithmetic';
import type { OpenItem, ReceiptFacts } from '../../model/records';
import { minor } from '../../money/minor';
import { proportion } from '../../money/proportion';
import { swappedDigits } from '../../money/swapped-digits';
import type { AnswerLine, Reason } from '../answer';
import type { Draft } from './draft';
import type { Payer } from '../payer/find-payer';
import { GRACE } from '../gaps/by-discount';
import { discountDaysAllowed, paysOntoOldest } from '../lessons/habits';
import { linesFor } from './lines-for';
import { remittancePhrases } from '../../text/remittance-phrases';
import { typicalSums } from '../../money/typical-sums';
import type { MatchIndex } from '../match-index';

/** Whether a sum in minor units is one that somebody chooses. */
export function isRound(amount: number, currency: string): boolean {
	return amount % typicalSums(currency).round === 0;
}
/** A payment of the same sum so many days before may be the same one twice. */
const TWICE = 45;

/**
 * Answers a receipt of one payer whose amount neither an open item nor a set of them comes to: an item less its discount; money
 * on account, where the words say so; two digits swapped in typing; a sum that goes onto the oldest, where that is how they pay;
 * else nothing, with what stands in the way. `items` are of one currency, oldest first, and may be none.
 */
export function whenNothingFits(
	receipt: ReceiptFacts,
	payer: Payer,
	customerId: number,
	items: readonly OpenItem[],
	index: MatchIndex
): Draft {
	const { amount, currency } = receipt;
	const customer = index.customers.get(customerId)!.name;
	const habits = index.habitsOf(customerId);
	const known = payer.by === 'account' || payer.by === 'name';
	const draft = (...reasons: Reason[]): Draft => ({
		...{ band: 'choose', customerId, lines: [], reasons: [...payer.reasons, ...reasons] },
		...{ others: [], otherAnswers: 0 }
	});
	const discounted = withDiscount(receipt, items, discountDaysAllowed(habits));
	if (discounted) return { ...draft(discounted.reason), band: 'likely', lines: [discounted.line] };
	if (remittancePhrases(receipt.text).onAccount)
		return {
			...draft({ code: 'says-on-account' }),
			band: known && !/\d/.test(receipt.text) ? 'certain' : 'likely'
		};
	const before = sameSumBefore(receipt, customerId, index);
	if (items.length === 0) return draft({ code: 'nothing-open', customer, currency }, ...before);
	const slipped = items.filter((item) => item.kind !== 'credit_note' && swappedDigits(item.open, amount));
	const [slip] = slipped;
	if (slip && slipped.length === 1 && known)
		return {
			...draft({ code: 'digits-swapped', open: slip.open, came: amount, currency, number: slip.number }),
			lines: linesFor([slip], amount).lines
		};
	const noSet: Reason = { code: 'no-set', amount, currency, items: items.length };
	if (paysOntoOldest(habits)) {
		const { lines } = linesFor(
			items.filter((item) => item.kind !== 'credit_note'),
			amount
		);
		const reason = { code: 'fills-oldest', ...habits.fillsOldest, items: lines.length } as const;
		return { ...draft(noSet, reason), band: 'likely', lines };
	}
	const round: Reason[] = isRound(amount, currency) ? [{ code: 'round-sum', amount, currency }] : [];
	return draft(noSet, ...before, ...round);
}

/** That the customer's last payment of just this sum was allocated not long before, as a reason; none where there was none. */
function sameSumBefore(receipt: ReceiptFacts, customerId: number, index: MatchIndex): Reason[] {
	const found = (index.allocatedBefore.get(customerId) ?? []).filter(
		(one) =>
			one.amount === receipt.amount &&
			one.currency === receipt.currency &&
			one.booked <= receipt.booked &&
			daysBetween(one.booked, receipt.booked) <= TWICE
	);
	const last = found.at(-1);
	return last ? [{ code: 'same-sum-before', booked: last.booked, numbers: last.numbers }] : [];
}

/** The one item that comes to the sum less the discount of its terms; null where there is none, or more than one. */
function withDiscount(
	{ amount, booked, currency }: ReceiptFacts,
	items: readonly OpenItem[],
	daysLate: number
): { line: AnswerLine; reason: Reason } | null {
	const fitting = items.flatMap((item) => {
		if (!item.discountBasisPoints || !item.discountUntil || item.kind === 'credit_note') return [];
		if (booked > addDays(item.discountUntil, Math.max(GRACE, daysLate))) return [];
		const off = proportion(item.open, item.discountBasisPoints, 10_000);
		return item.open - off === amount ? [{ item, off }] : [];
	});
	const [only] = fitting;
	if (!only || fitting.length > 1) return null;
	const { item, off } = only;
	return {
		line: {
			...{ itemId: item.id, cash: minor(item.open - off) },
			differences: [{ kind: 'settlement_discount', amount: off }]
		},
		reason: {
			...{ code: 'discount-taken', basisPoints: item.discountBasisPoints!, until: item.discountUntil! },
			...{ amount: off, currency }
		}
	};
}
