import { append } from '../../append';
import type { OpenItem, ReceiptFacts } from '../../model/records';
import { compareItems } from '../sets/compare-items';
import { creditorReferences } from './creditor-references';
import type { Payer } from '../payer/find-payer';
import { rangesInWords } from './ranges-in-words';
import { digitReader, readParts } from './read-digits';
import { readLoose, targetsOf, type Piece } from './read-loose';
import { remittancePhrases } from '../../text/remittance-phrases';
import {
	joinedWords,
	referenceKey,
	SHORTEST_REFERENCE,
	withoutGlued,
	wordsOfText,
	type Word
} from '../../text/words-of-text';
import type { MatchIndex } from '../match-index';

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
	/** Items that are named, but open in another currency than came. */
	readonly foreign: readonly OpenItem[];
}

/**
 * What is named: the structured and the end-to-end reference, and each word of the text: whole, or at its slashes, with our
 * prefix or without it, with zeros before it, or shortened in a list to its last digits ("40233/34/51"). What can be read in
 * several ways is read so that it comes to the amount, where just one way does; else it names nothing. "40233-40239" names
 * all of an account's documents between the two.
 */
export function findNamed(receipt: ReceiptFacts, index: MatchIndex, payer: Payer): Named {
	const items = new Map<number, OpenItem>();
	const pieces: Piece[] = [];
	const settled = new Set<string>();
	const settledAt: { from: number; to: number }[] = [];
	const foreign = new Map<number, OpenItem>();
	let reference: string | null = null;
	const whole = (key: string): readonly OpenItem[] => {
		if (key.length < SHORTEST_REFERENCE) return [];
		const all = index.byReference.get(key) ?? [];
		const found = all.filter((item) => item.currency === receipt.currency);
		if (found.length === 0) for (const item of all) foreign.set(item.id, item);
		const gone = all.length === 0 ? index.settled.get(key) : undefined;
		if (gone) settled.add(gone);
		return found;
	};
	for (const given of [receipt.structuredReference, receipt.endToEndId]) {
		const found = given ? whole(referenceKey(given)) : [];
		for (const item of found) items.set(item.id, item);
		if (found.length > 0) reference ??= given;
	}
	const byDigits = digitReader(receipt, index, payer);
	const words = wordsOfText(receipt.text);
	// All of a run is meant, unless just its ends come to the amount.
	const ranges = rangesInWords(receipt, index, payer);
	for (const { from, to, all, ends } of ranges)
		pieces.push({ from, to, candidates: all.length > ends.length ? [all, ends] : [all] });
	// A creditor reference whose check digits fit is what it says: one that was asked for, or one made of a document's number.
	const joined: Word[] = [];
	for (const { key, from, to } of creditorReferences(receipt.text)) {
		const asked = index.byReference.get(key) ?? index.byReference.get(key.slice(4)) ?? [];
		const found = asked.filter((item) => item.currency === receipt.currency);
		if (found.length === 0) continue;
		joined.push({ key, from, to });
		pieces.push({ from, to, candidates: [found] });
	}
	// A whole number of ours over several words: the longest first, and its words are read no more.
	for (const word of joinedWords(receipt.text, words).sort((a, b) => b.key.length - a.key.length)) {
		if ([...joined, ...ranges].some((one) => one.from < word.to && word.from < one.to)) continue;
		const found = (index.byReference.get(word.key) ?? []).filter(
			(item) => item.currency === receipt.currency
		);
		if (found.length === 0) continue;
		joined.push(word);
		pieces.push({ from: word.from, to: word.to, candidates: [found] });
	}
	for (const word of words) {
		if (ranges.some((one) => one.from < word.to && word.from < one.to)) continue;
		if (joined.some((one) => one.from <= word.from && word.to <= one.to)) continue;
		const found = whole(word.key);
		const bare = found.length > 0 ? null : withoutGlued(word, receipt.text);
		const named = bare ? whole(bare.key) : found;
		const { from, to } = bare ?? word;
		if (index.settled.has(word.key)) settledAt.push({ from: word.from, to });
		else if (bare && index.settled.has(bare.key)) settledAt.push({ from, to });
		if (named.length > 0) pieces.push({ from, to, candidates: [named] });
		else append(pieces, readParts(bare ?? word, receipt.text, whole, byDigits, index));
	}
	const fixed = pieces.filter((piece) => piece.candidates.length === 1);
	for (const { candidates } of fixed) for (const item of candidates[0]!) items.set(item.id, item);
	const loose = pieces.filter((piece) => piece.candidates.length > 1);
	const read = loose.length ? readLoose(loose, [...items.values()], targetsOf(receipt, payer, index)) : [];
	for (const item of (read ?? []).flat()) items.set(item.id, item);
	// Three digits alone, of one document of the payer's: too little came for it, and the words say why.
	const [short] = loose;
	const shortOne = items.size === 0 && loose.length === 1 && short!.candidates.length === 2;
	const [onlyOne, none] = shortOne ? short!.candidates : [];
	if (read === null && onlyOne?.length && none?.length === 0 && saysWhy(receipt, onlyOne))
		for (const item of onlyOne) items.set(item.id, item);
	const runs = new Set(ranges.map((range) => range.all));
	// A run that comes to the amount in no way is named all the same: too little or too much came for it.
	const isRun = (piece: Piece) => runs.has(piece.candidates[0]!);
	if (read === null)
		for (const piece of loose.filter(isRun))
			for (const item of piece.candidates[0]!) items.set(item.id, item);
	const shown = pieces.filter(
		(piece) =>
			piece.candidates.length === 1 ||
			(piece === short && items.size > 0 && read === null && shortOne) ||
			(read !== null && loose.length > 0) ||
			isRun(piece)
	);
	return {
		items: [...items.values()].sort(compareItems),
		recognised: [...shown.map(({ from, to }) => ({ from, to })), ...settledAt].sort(
			(a, b) => a.from - b.from
		),
		words: shown.map(({ from, to }) => receipt.text.slice(from, to)),
		reference,
		settled: [...settled],
		foreign: [...foreign.values()].sort(compareItems)
	};
}

/** Whether less came than is open, and the words say that it is a part, or that something was taken off. */
function saysWhy(receipt: ReceiptFacts, items: readonly OpenItem[]): boolean {
	const says = remittancePhrases(receipt.text);
	const open = items.reduce((sum, item) => sum + item.open, 0);
	return receipt.amount < open && (says.part ?? says.claim ?? says.tax) !== null;
}
