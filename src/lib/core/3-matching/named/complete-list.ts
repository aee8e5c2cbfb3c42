import { endingOf } from '../../text/ending-of';
import type { OpenItem, ReceiptFacts } from '../../model/records';
import { compareItems } from '../sets/compare-items';
import { signedOpen } from '../answering/lines-for';
import { findSets } from '../sets/find-sets';
import { referenceKey } from '../../text/words-of-text';
import type { MatchIndex } from '../match-index';

/** What was not read of a list that was cut off. */
export interface RestOfList {
	readonly items: readonly OpenItem[];
	/** How many sets come to the rest; of several the first that goes on from the last number is taken. */
	readonly sets: number;
}

/** Lengths at which banks cut the words of a payment off, and one less where a space was last. */
const CUTS = new Set([17, 18, 26, 27, 34, 35, 69, 70, 104, 105, 139, 140]);
const LISTED = 40;
const STEPS = 100_000;

/**
 * The items that complete a list of numbers which the bank cut off: those of the same accounts that come to what the named ones
 * leave of the amount (minor units). Null where the words were not cut off, or nothing comes to it.
 */
export function restOfList(
	receipt: ReceiptFacts,
	named: readonly OpenItem[],
	accounts: readonly number[],
	rest: number,
	index: MatchIndex
): RestOfList | null {
	const taken = new Set(named.map((item) => item.documentId));
	const open = accounts
		.flatMap((id) => index.itemsOf.get(id) ?? [])
		.filter((item) => item.currency === receipt.currency && !taken.has(item.documentId))
		.sort(compareItems);
	const begun = beginsAsOneOf(receipt.text, open);
	if (!begun && !CUTS.has(receipt.text.length) && !/[,;/+&-]\s*$/.test(receipt.text)) return null;
	const { sets, count, all } = findSets(open.map(signedOpen), rest, { keep: LISTED, steps: STEPS });
	if (sets.length === 0) return null;
	const numbers = sets.map((places) => places.map((place) => open[place]!));
	const going = numbers.filter((items) => items.every((item) => follows(item, named, index)));
	const best = going[0] ?? numbers[0]!;
	return { items: best, sets: all ? Math.max(count, 1) : count + 1 };
}

/** Whether the text ends in the beginning of one of these items' numbers. */
function beginsAsOneOf(text: string, items: readonly OpenItem[]): boolean {
	const last = endingOf(text.trimEnd(), /\S/);
	const key = referenceKey(last);
	if (!/\d/.test(last) || key.length === 0) return false;
	return items.some((item) => {
		const whole = referenceKey(item.number);
		return whole.length > key.length && whole.startsWith(key);
	});
}

/** Whether an item's number comes after all that are named: people list numbers in their order. */
function follows(item: OpenItem, named: readonly OpenItem[], index: MatchIndex): boolean {
	const number = Number(index.digitsOf.get(item.id) ?? Number.NaN);
	return named.every((one) => number > Number(index.digitsOf.get(one.id) ?? Number.NaN));
}
