import type { OpenItem, ReceiptFacts } from '../../model/records';
import type { Minor } from '../../money/minor';
import { minor } from '../../money/minor';
import type { Answer } from '../answer';
import { signedOpen } from './lines-for';
import { numberDigits } from '../named/number-digits';

/** What stood in the way of an open item, as a code and facts; the sentences are in `words/why-not-sentence.ts`. */
export type WhyNot =
	| { readonly code: 'other-currency'; readonly of: string; readonly came: string }
	| { readonly code: 'in-other-answer'; readonly place: number; readonly of: number }
	| { readonly code: 'words-name-others' }
	| { readonly code: 'not-named' }
	| { readonly code: 'older-equal'; readonly number: string }
	| { readonly code: 'more-than-came'; readonly by: Minor; readonly currency: string }
	| { readonly code: 'less-than-came'; readonly by: Minor; readonly currency: string }
	| { readonly code: 'credit-would-leave'; readonly by: Minor; readonly currency: string };

/**
 * Why an answer does not take an open item of the account: what speaks against it in the words, the amount and the other items.
 * `items` are those of the account. Empty where the answer takes it.
 */
export function whyNot(
	receipt: Pick<ReceiptFacts, 'amount' | 'currency' | 'text' | 'structuredReference' | 'endToEndId'>,
	item: OpenItem,
	answer: Answer | null,
	items: readonly OpenItem[]
): WhyNot[] {
	if (answer?.lines.some((line) => line.itemId === item.id)) return [];
	if (item.currency !== receipt.currency)
		return [{ code: 'other-currency', of: item.currency, came: receipt.currency }];
	const found: WhyNot[] = [];
	const place = answer?.others.findIndex((one) => one.lines.some((line) => line.itemId === item.id)) ?? -1;
	if (place >= 0) found.push({ code: 'in-other-answer', place: place + 2, of: answer!.otherAnswers + 1 });
	const words = [receipt.text, receipt.structuredReference, receipt.endToEndId].join(' ');
	const digits = numberDigits(item.number);
	const named = digits !== null && words.includes(digits);
	const byWords =
		answer?.reasons.some(({ code }) => code === 'number-named' || code === 'reference-named') ?? false;
	if (!named) found.push({ code: byWords ? 'words-name-others' : 'not-named' });
	const open = signedOpen(item);
	const chosen = items.filter((one) => answer?.lines.some((line) => line.itemId === one.id));
	const older = chosen.find((one) => signedOpen(one) === open && one.due <= item.due);
	const { currency } = receipt;
	if (older && !byWords) found.push({ code: 'older-equal', number: older.number });
	else if (open < 0) found.push({ code: 'credit-would-leave', by: minor(-open), currency });
	else if (open > receipt.amount)
		found.push({ code: 'more-than-came', by: minor(open - receipt.amount), currency });
	else if (open < receipt.amount)
		found.push({ code: 'less-than-came', by: minor(receipt.amount - open), currency });
	return found;
}
