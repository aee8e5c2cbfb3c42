import type { AdviceLine } from '../../model/advice';
import type { OpenItem } from '../../model/records';
import { referenceKey } from '../../text/words-of-text';

export interface MatchedLine extends AdviceLine {
	readonly item: OpenItem | null;
	/** Why it cannot be laid as it stands, or nothing. */
	readonly wrong: string;
}

/** Digits at the end of a number shorter than this are no proof. */
const LEAST_DIGITS = 4;

/** Ties each line of an advice to an open item: by its number, else by digits that only one item's number ends in. */
export function matchAdvice(lines: readonly AdviceLine[], items: readonly OpenItem[]): MatchedLine[] {
	const taken = new Set<number>();
	return lines.map((line) => {
		const item = line.numbers.map((number) => find(number, items)).find((one) => one !== null) ?? null;
		const twice = item !== null && taken.has(item.id);
		if (item) taken.add(item.id);
		return { ...line, item, wrong: wrongWith(line, item, twice) };
	});
}

function find(number: string, items: readonly OpenItem[]): OpenItem | null {
	const key = referenceKey(number);
	const exact = items.filter((item) => referenceKey(item.number) === key);
	if (exact.length > 0) return exact[0]!;
	const digits = key.replace(/\D/g, '');
	if (digits.length < LEAST_DIGITS) return null;
	const ending = items.filter((item) => referenceKey(item.number).endsWith(digits));
	return new Set(ending.map((item) => item.documentId)).size === 1 ? ending[0]! : null;
}

function wrongWith(line: AdviceLine, item: OpenItem | null, twice: boolean): string {
	if (!item) return 'nothing open has that number';
	if (twice) return 'it is on the advice twice';
	if (line.paid === null) return 'the line names no amount: all that is open is taken';
	const credit = item.kind === 'credit_note';
	if (credit !== line.paid < 0) return credit ? 'a credit note is taken off' : 'the amount is negative';
	const asked = Math.abs(line.paid) + (line.deduction?.amount ?? 0);
	return asked > item.open ? 'that is more than is open' : '';
}
