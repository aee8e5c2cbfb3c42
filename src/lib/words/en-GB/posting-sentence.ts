import type { ExchangeDifference, PostingFacts } from '../../core/model/posting-facts';
import { DIFFERENCE_NAMES } from './difference-names';
import { list, money, shortDay } from './format';
import { rateText } from './rate-text';

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
