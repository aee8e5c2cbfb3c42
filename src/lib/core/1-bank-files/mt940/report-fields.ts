import type { StatementEntry } from '../../model/bank';
import type { Minor } from '../../money/minor';
import { currencyDigits } from '../../money/currency';
import type { Problem } from '../../problems';
import { readDecimal } from './read-decimal';

/** Number and sum of a report's debits or credits, as the bank counted them. */
export interface ReportSum {
	readonly tag: '90C' | '90D';
	readonly count: number;
	readonly sum: Minor;
}

interface Place {
	readonly statement?: string;
	readonly line: number;
}

/** The currency of the floor limit (field 34F, `3!a[1!a]15d`), below which the bank lists nothing. Null with a problem where it is something else. */
export function readFloor(tag: string, text: string, place: Place, problems: Problem[]): string | null {
	const [, currency] = /^([A-Z]{3})[CD]?[\d.,]{1,20}$/.exec(text) ?? [];
	if (currency && currencyDigits(currency) !== undefined) return currency;
	problems.push({ code: 'field-bad', field: `:${tag}:`, text: text.slice(0, 60), ...place });
	return null;
}

/** Number and sum of entries (fields 90C and 90D, `5n3!a15d`). Null with a problem where it is something else. */
export function readSum(
	tag: ReportSum['tag'],
	text: string,
	place: Place,
	problems: Problem[]
): ReportSum | null {
	const [, count, currency, amountText] = /^(\d{1,5})([A-Z]{3})([\d.,]{1,20})$/.exec(text) ?? [];
	const sum = amountText ? readDecimal(amountText, currency!) : 'missing';
	if (typeof sum !== 'string') return { tag, count: Number(count), sum };
	problems.push({ code: 'field-bad', field: `:${tag}:`, text: text.slice(0, 60), ...place });
	return null;
}

/** What is wrong where a report's entries are not what the bank counted; banks count reversals on either side, so those tell nothing. */
export function sumProblem(
	{ tag, count, sum }: ReportSum,
	entries: readonly StatementEntry[]
): (Problem & { readonly code: 'control-differs' }) | null {
	if (entries.some((entry) => entry.reversal)) return null;
	const sign = tag === '90C' ? 1 : -1;
	const counted = entries.filter((entry) => entry.amount * sign > 0);
	const found = counted.reduce((total, entry) => total + BigInt(entry.amount * sign), 0n);
	if (counted.length === count && found === BigInt(sum)) return null;
	const part = `:${tag}:`;
	return counted.length === count
		? { code: 'control-differs', part, want: String(sum), found: String(found) }
		: { code: 'control-differs', part, want: String(count), found: String(counted.length) };
}
