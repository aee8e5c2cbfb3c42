import { typedAmount } from '../../words/typed-amount';
import type { DeskCredit } from '../../server/allocation/queries/desk-credits';
import { rowOf } from './allocating-row';
import { plain, type Chosen } from './chosen-item';

/** What of the earlier money is used; kept as typed. */
export interface TypedCredit {
	readonly receiptId: number;
	readonly text: string;
	/** True once a person typed it: then it is left alone when items are taken or left. */
	readonly typed: boolean;
}

/**
 * Without new money: uses just so much of what lies on account as is taken by items, the oldest first, as far as it goes; all of it
 * while nothing is taken. What was typed stays. Deposits wait for the documents of their orders: they join only where somebody uses them.
 */
export function fitCredits(
	used: readonly TypedCredit[],
	chosen: readonly Chosen[],
	credits: readonly DeskCredit[],
	currency: string
): TypedCredit[] {
	let wanted = 0;
	for (const one of chosen) {
		const { item, typed } = one;
		if (typed) wanted += rowOf(one, currency).cash ?? 0;
		// How much money an item in another currency takes is for a person to say.
		else if (item.currency !== currency) wanted = Infinity;
		else wanted += item.kind === 'credit_note' ? -item.open : item.open;
	}
	for (const { typed, text } of used) {
		const amount = typed ? typedAmount(text, currency, false) : 0;
		if (typeof amount !== 'string') wanted -= amount;
	}
	const fit = (receiptId: number, most: number): TypedCredit => {
		const use = chosen.length === 0 ? most : Math.max(0, Math.min(wanted, most));
		wanted -= use;
		return { receiptId, text: plain(use, currency), typed: false };
	};
	const fitted = used.map((one) =>
		one.typed
			? one
			: fit(one.receiptId, credits.find((credit) => credit.receiptId === one.receiptId)!.onAccount)
	);
	const taken = new Set(used.map((one) => one.receiptId));
	for (const { receiptId, onAccount, depositFor } of chosen.length === 0 ? [] : credits)
		if (wanted > 0 && !depositFor && !taken.has(receiptId)) fitted.push(fit(receiptId, onAccount));
	return fitted;
}
