import { acrossRates, type RateIn } from '../../core/1-rates/across-rates';
import { minor } from '../../core/money/minor';
import { rowOf } from './allocating-row';
import { plain, type Chosen } from './chosen-item';

/** What a unit of each currency is worth in base currency, by its code. */
export type Rates = Readonly<Record<string, RateIn>>;

/** Spreads the money anew over what nobody typed: credit notes whole, then the items in the order taken. */
export function spreadMoney(
	chosen: readonly Chosen[],
	amount: number,
	currency: string,
	rates: Rates = {}
): void {
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
		const cash = Math.max(0, Math.min(left, wantedFor(one, currency, rates) ?? left));
		one.text = plain(cash, currency);
		settleByRate(one, cash, currency, rates);
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

/** What settles an item whole, in the money's currency; null where there is no rate for it. */
function wantedFor({ item }: Chosen, currency: string, rates: Rates): number | null {
	if (item.currency === currency) return item.open;
	const [from, to] = [rates[item.currency], rates[currency]];
	return from && to ? acrossRates(item.open, from, to) : null;
}

/** What money settles of an item in another currency follows the day's rate, until somebody types it. */
export function settleByRate(one: Chosen, cash: number, currency: string, rates: Rates): void {
	const { item } = one;
	const [from, to] = [rates[currency], rates[item.currency]];
	if (item.currency === currency || one.settlesTyped || !from || !to) return;
	const whole = cash === wantedFor(one, currency, rates);
	const settles = whole ? item.open : Math.min(item.open, acrossRates(minor(cash), from, to));
	one.settles = plain(settles, item.currency);
}
