import type { OpenItem, ReceiptFacts } from '../model/records';
import { compareItems } from './compare-items';
import { referenceKey, wordsOfText } from './words-of-text';
import type { World } from './world';

export interface Named {
	/** Items whose number, order or reference stands in the receipt's words, oldest first. */
	readonly items: readonly OpenItem[];
	readonly recognised: readonly { readonly from: number; readonly to: number }[];
	/** The words as written, for the reason. */
	readonly words: readonly string[];
	/** The structured or end-to-end reference that named items, or null. */
	readonly reference: string | null;
	/** Numbers of ours that have nothing open any more. */
	readonly settled: readonly string[];
}

/** Shortest free word taken for a reference: shorter ones are found in any text. */
const SHORTEST = 4;

/** What is named: structured reference, end-to-end reference, and each word of the text, compared whole. */
export function findNamed(receipt: ReceiptFacts, world: World): Named {
	const items = new Map<number, OpenItem>();
	const recognised: { from: number; to: number }[] = [];
	const words: string[] = [];
	const settled: string[] = [];
	let reference: string | null = null;
	const take = (key: string): boolean => {
		if (key.length < SHORTEST) return false;
		const found = (world.byReference.get(key) ?? []).filter((item) => item.currency === receipt.currency);
		for (const item of found) items.set(item.id, item);
		if (found.length === 0 && world.settled.has(key)) settled.push(key);
		return found.length > 0;
	};
	for (const given of [receipt.structuredReference, receipt.endToEndId])
		if (given && take(referenceKey(given))) reference ??= given;
	for (const word of wordsOfText(receipt.text))
		if (take(word.key)) {
			recognised.push({ from: word.from, to: word.to });
			words.push(receipt.text.slice(word.from, word.to));
		}
	return { items: [...items.values()].sort(compareItems), recognised, words, reference, settled };
}
