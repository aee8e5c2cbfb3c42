import type { SurplusKind } from '../../core/model/posting';
import type { DifferenceKind } from '../../core/model/records';
import { DIFFERENCE_NAMES } from './difference-names';
import { list, money, shortDay } from './format';
import { rateText } from './rate-text';

interface Sum {
	readonly amount: number;
	readonly currency: string;
}

/** What is won or lost because a currency is worth something else than when the item was issued. */
export interface ExchangeDifference {
	/** In base currency, minor units; below nought for a loss. */
	readonly amount: number;
	readonly baseCurrency: string;
	/** The rates by which the money was turned. */
	readonly rates: readonly {
		readonly currency: string;
		readonly millionths: number;
		readonly day: string | null;
		readonly source: string;
	}[];
}

/** What posting does to the books, as facts. */
export interface PostingFacts {
	readonly currency: string;
	/** Items that are settled whole. */
	readonly settles: readonly string[];
	/** Items of which something stays open. */
	readonly leaves: readonly (Sum & { readonly label: string })[];
	/** Credit notes that are used. */
	readonly uses: readonly string[];
	/** Of earlier money, in the money's currency. */
	readonly earlier: number;
	readonly gaps: readonly (Sum & { readonly kind: DifferenceKind })[];
	readonly fees: readonly { readonly kind: 'bank_charge' | 'processor_fee'; readonly amount: number }[];
	/** What of the money is on no item. */
	readonly left: number;
	readonly surplus: SurplusKind | null;
	readonly depositFor: string;
	readonly exchange: ExchangeDifference | null;
}

/** All that posting will do to the books, in one sentence. */
export function postingSentence(facts: PostingFacts): string {
	const { currency, left, surplus, depositFor } = facts;
	const parts: string[] = [];
	if (facts.settles.length) parts.push(`settles ${list(facts.settles)}`);
	for (const { label, ...open } of facts.leaves)
		parts.push(`leaves ${money(open.amount, open.currency)} of ${label} open`);
	if (facts.uses.length) parts.push(`uses ${list(facts.uses)}`);
	if (facts.earlier > 0) parts.push(`uses ${money(facts.earlier, currency)} of earlier money`);
	for (const gap of facts.gaps)
		parts.push(
			gap.kind === 'claim'
				? `opens a claim of ${money(gap.amount, gap.currency)}`
				: `books ${money(gap.amount, gap.currency)} as ${DIFFERENCE_NAMES[gap.kind].toLowerCase()}`
		);
	for (const fee of facts.fees)
		parts.push(`books ${money(fee.amount, currency)} as ${DIFFERENCE_NAMES[fee.kind].toLowerCase()}`);
	if (facts.exchange) parts.push(exchangeSentence(facts.exchange));
	if (left > 0 && surplus === 'refund') parts.push(`marks ${money(left, currency)} to be paid back`);
	else if (left > 0 && surplus) parts.push(`books ${money(left, currency)} as small difference`);
	else if (left > 0)
		parts.push(
			`leaves ${money(left, currency)} on account${depositFor.trim() ? ` for order ${depositFor.trim()}` : ''}`
		);
	const text = parts.join('; ') || 'does nothing';
	return `${text[0]!.toUpperCase()}${text.slice(1)}.`;
}

function exchangeSentence({ amount, baseCurrency, rates }: ExchangeDifference): string {
	const used = rates.map(
		({ currency, millionths, day, source }) =>
			`${currency} at ${rateText(millionths)}${day ? ` of ${shortDay(day)}` : ''}${source ? `, ${source}` : ''}`
	);
	const says =
		amount === 0
			? 'books no exchange difference'
			: `books ${money(Math.abs(amount), baseCurrency)} exchange ${amount < 0 ? 'loss' : 'gain'}`;
	return used.length ? `${says} (${used.join('; ')})` : says;
}
