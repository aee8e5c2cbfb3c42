import { rowOf } from './allocating-row';
import { plain, type Chosen } from './chosen-item';

/** Spreads the money anew over what nobody typed: credit notes whole, then the items in the order taken. */
export function spreadMoney(chosen: readonly Chosen[], amount: number, currency: string): void {
	let left: number = amount;
	for (const one of chosen) {
		if (one.typed) left -= rowOf(one, currency).cash ?? 0;
		else if (one.item.kind === 'credit_note') {
			one.text = plain(-one.item.open, currency);
			left += one.item.open;
		}
	}
	for (const one of chosen) {
		if (one.typed || one.item.kind === 'credit_note') continue;
		const other = one.item.currency !== currency;
		const cash = Math.max(0, other ? left : Math.min(left, one.item.open));
		one.text = plain(cash, currency);
		left -= cash;
	}
	// A credit note that is more than what is taken with it gives only so much.
	for (const one of chosen) {
		if (left <= amount || one.typed || one.item.kind !== 'credit_note') continue;
		const less = Math.min(left - amount, one.item.open);
		one.text = plain(less - one.item.open, currency);
		left -= less;
	}
}
