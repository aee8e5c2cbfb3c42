import type { OpenItem, ReceiptFacts } from '../../model/records';
import { compareItems } from '../sets/compare-items';
import type { Payer } from '../payer/find-payer';
import { MOST_TEXT, referenceKey } from '../../text/words-of-text';
import type { MatchIndex } from '../match-index';

/** A run of documents by its first and last number, as "40233-40239" or "AK-40233 to 39". */
export interface NamedRange {
	readonly from: number;
	readonly to: number;
	/** Every open document of the account from the first number to the last, oldest first. */
	readonly all: readonly OpenItem[];
	/** The first and the last alone, in case the two were meant. */
	readonly ends: readonly OpenItem[];
}

/** Put together here, and so looked at by a test instead of lint. */
export const RANGE = new RegExp(
	String.raw`(?<![\w-])(?:[A-Z]{1,4}[-.]?)?(\d{4,})\s*(?:-|–|—|\.\.\.?|\b(?:to|till|until|thru|through|bis|tot)\b)\s*(?:[A-Z]{1,4}[-. ]?)?(\d{2,})(?![\w-])`,
	'giu'
);
/** Longer runs are no list of invoices but something else. */
const LONGEST = 100;

/**
 * Runs of document numbers in the receipt's words whose ends are both open, of one account: the payer's, one that it pays
 * for, or, with nobody known, anybody's. A last number with fewer digits is the end of one that begins as the first.
 */
export function rangesInWords(receipt: ReceiptFacts, index: MatchIndex, payer: Payer): NamedRange[] {
	const own = new Set(payer.customerIds.flatMap((id) => [id, ...(index.children.get(id) ?? [])]));
	const open = (digits: string) =>
		(index.byDigits.get(digits) ?? []).filter(
			(item) => item.currency === receipt.currency && (own.size === 0 || own.has(item.customerId))
		);
	const ranges: NamedRange[] = [];
	for (const found of receipt.text.slice(0, MOST_TEXT).matchAll(RANGE)) {
		// What is a number of ours as it stands is no run of several.
		if (index.byReference.has(referenceKey(found[0]))) continue;
		const first = found[1]!.replace(/^0+/, '');
		const typed = found[2]!.replace(/^0+/, '');
		const last = typed.length < first.length ? first.slice(0, first.length - typed.length) + typed : typed;
		const span = Number(last) - Number(first);
		if (last.length !== first.length || !(span > 0 && span <= LONGEST)) continue;
		const [start, end] = [open(first), open(last)];
		const owners = new Set([...start, ...end].map((item) => item.customerId));
		if (start.length === 0 || end.length === 0 || owners.size !== 1) continue;
		const all = (index.itemsOf.get(start[0]!.customerId) ?? []).filter((item) => {
			const digits = index.digitsOf.get(item.id);
			return (
				item.currency === receipt.currency &&
				digits?.length === first.length &&
				Number(digits) >= Number(first) &&
				Number(digits) <= Number(last)
			);
		});
		ranges.push({
			...{ from: found.index, to: found.index + found[0].length },
			...{ all: all.sort(compareItems), ends: [...start, ...end].sort(compareItems) }
		});
	}
	return ranges;
}
