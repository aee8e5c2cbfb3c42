import type { Paper } from '../../core/7-letters/paper';
import { money, percent, shortDay } from './format';
import { howToPay } from './letter-text';

const TITLES = { invoice: 'Invoice', credit_note: 'Credit note', charge: 'Charge' } as const;

/** Title of a document on paper, and what is said below its sum. */
export function paperText(paper: Paper): { title: string; after: string[] } {
	const { kind, number, currency, instalments, discount } = paper;
	const title = `${TITLES[kind]} ${number}`;
	if (kind === 'credit_note')
		return { title, after: ['This sum stands to your credit; take it off your next payment.'] };
	const [only] = instalments;
	const due =
		instalments.length === 1
			? [`Due on ${shortDay(only!.due)}.`]
			: instalments.map(
					(part, i) =>
						`Part ${i + 1} of ${instalments.length}: ${money(part.amount, currency)} due on ${shortDay(part.due)}.`
				);
	const early = discount
		? [
				`Paid by ${shortDay(discount.until)}, ${percent(discount.basisPoints)} may be taken off: ${money(discount.saves, currency)}.`
			]
		: [];
	return { title, after: [...due, ...early, howToPay(paper)] };
}
