import { minor, ZERO } from '../../core/money/minor';
import { typedAmount } from '../../words/typed-amount';

import type { Chosen } from './chosen-item';

/** What a chosen item comes to as it is typed: what of it is paid, what the gap is called, what stays open. */
export function rowOf(one: Chosen, currency: string) {
	const credit = one.item.kind === 'credit_note';
	const parsed = typedAmount(one.text, currency, credit);
	const cash = typeof parsed === 'string' ? null : parsed;
	const other = one.item.currency !== currency;
	const typed = other ? typedAmount(one.settles ?? '', one.item.currency, false) : null;
	const settles = typeof typed === 'string' ? null : typed;
	const rest = Math.max(0, one.item.open - Math.abs((other ? settles : cash) ?? 0));
	let unnamed = rest;
	const gaps = one.gaps.map((gap) => {
		const given = gap.text === null ? null : typedAmount(gap.text, one.item.currency, false);
		const amount = gap.text === null ? null : typeof given === 'string' ? null : given;
		if (amount !== null) unnamed -= amount;
		return { kind: gap.kind, text: gap.text, amount };
	});
	const named = gaps.map((gap) => {
		if (gap.text !== null) return gap;
		const amount = minor(Math.max(0, unnamed));
		unnamed -= amount;
		return { ...gap, amount };
	});
	const difference = named.reduce((sum, gap) => sum + (gap.amount ?? 0), 0);
	return {
		item: one.item,
		text: one.text,
		cash,
		other,
		settlesText: one.settles ?? '',
		settles,
		gaps: named,
		claim: one.claim,
		difference: difference === 0 ? ZERO : minor(difference),
		remains: minor(Math.max(0, rest - difference))
	};
}

export type PostingRow = ReturnType<typeof rowOf>;
