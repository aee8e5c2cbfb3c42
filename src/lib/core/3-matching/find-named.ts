import type { OpenItem, ReceiptFacts } from '../model/records';
import { compareItems } from './compare-items';
import { creditorReferences } from './creditor-references';
import type { Payer } from './find-payer';
import { signedOpen } from './lines-for';
import { digitsByPattern, shapeOf } from './number-patterns';
import { rangesInWords } from './ranges-in-words';
import { wordsSay } from './words-say';
import { joinedWords, referenceKey, withoutGlued, wordsOfText, type Word } from './words-of-text';
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
	/** Items that are named, but open in another currency than came. */
	readonly foreign: readonly OpenItem[];
}

/** Shortest free word taken for a reference: shorter ones are found in any text. */
const SHORTEST = 4;
/** Shortest digits taken for a number where nothing is known of the payer. */
const SHORTEST_UNKNOWN = 5;
/** A day as people write it, which is no list of numbers. */
const DATE = /^(?:\d{1,2}([/.-])\d{1,2}\1(?:19|20)?\d\d|(?:19|20)\d\d([/.-])\d{1,2}\2\d{1,2})$/;
/** What somebody who pays for others keeps is less than this part of it. */
const LEAST_KEPT = 14;
/** More steps are not taken to read a shortened list. */
const MOST_STEPS = 50_000;

/** A piece of the text that names a document, or may: each candidate is a document's open items. */
interface Piece {
	readonly from: number;
	readonly to: number;
	readonly candidates: readonly (readonly OpenItem[])[];
}

/**
 * What is named: the structured and the end-to-end reference, and each word of the text: whole, or at its slashes, with our
 * prefix or without it, with zeros before it, or shortened in a list to its last digits ("40233/34/51"). What can be read in
 * several ways is read so that it comes to the amount, where just one way does; else it names nothing. "40233-40239" names
 * all of an account's documents between the two.
 */
export function findNamed(receipt: ReceiptFacts, world: World, payer: Payer): Named {
	const items = new Map<number, OpenItem>();
	const pieces: Piece[] = [];
	const settled = new Set<string>();
	const settledAt: { from: number; to: number }[] = [];
	const foreign = new Map<number, OpenItem>();
	let reference: string | null = null;
	const whole = (key: string): readonly OpenItem[] => {
		if (key.length < SHORTEST) return [];
		const all = world.byReference.get(key) ?? [];
		const found = all.filter((item) => item.currency === receipt.currency);
		if (found.length === 0) for (const item of all) foreign.set(item.id, item);
		const gone = all.length === 0 ? world.settled.get(key) : undefined;
		if (gone) settled.add(gone);
		return found;
	};
	for (const given of [receipt.structuredReference, receipt.endToEndId]) {
		const found = given ? whole(referenceKey(given)) : [];
		for (const item of found) items.set(item.id, item);
		if (found.length > 0) reference ??= given;
	}
	const byDigits = digitReader(receipt, world, payer);
	const words = wordsOfText(receipt.text);
	// All of a run is meant, unless just its ends come to the amount.
	const ranges = rangesInWords(receipt, world, payer);
	for (const { from, to, all, ends } of ranges)
		pieces.push({ from, to, candidates: all.length > ends.length ? [all, ends] : [all] });
	// A creditor reference whose check digits fit is what it says: one that was asked for, or one made of a document's number.
	const joined: Word[] = [];
	for (const { key, from, to } of creditorReferences(receipt.text)) {
		const asked = world.byReference.get(key) ?? world.byReference.get(key.slice(4)) ?? [];
		const found = asked.filter((item) => item.currency === receipt.currency);
		if (found.length === 0) continue;
		joined.push({ key, from, to });
		pieces.push({ from, to, candidates: [found] });
	}
	// A whole number of ours over several words: the longest first, and its words are read no more.
	for (const word of joinedWords(receipt.text, words).sort((a, b) => b.key.length - a.key.length)) {
		if ([...joined, ...ranges].some((one) => one.from < word.to && word.from < one.to)) continue;
		const found = (world.byReference.get(word.key) ?? []).filter(
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
		if (world.settled.has(word.key)) settledAt.push({ from: word.from, to });
		else if (bare && world.settled.has(bare.key)) settledAt.push({ from, to });
		if (named.length > 0) pieces.push({ from, to, candidates: [named] });
		else pieces.push(...readParts(bare ?? word, receipt.text, whole, byDigits, world));
	}
	const fixed = pieces.filter((piece) => piece.candidates.length === 1);
	for (const { candidates } of fixed) for (const item of candidates[0]!) items.set(item.id, item);
	const loose = pieces.filter((piece) => piece.candidates.length > 1);
	const read = loose.length ? readLoose(loose, [...items.values()], targetsOf(receipt, payer, world)) : [];
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

/** The number before in a list: its digits that run on, and how many it was written with. */
interface Before {
	readonly digits: string;
	readonly most: number;
}

type ByDigits = (digits: string, after: Before | null, padded: boolean) => readonly (readonly OpenItem[])[];

/** Reads a word at its slashes; a part of digits after a number may be that number shortened to its end. */
function readParts(
	word: Word,
	text: string,
	whole: (key: string) => readonly OpenItem[],
	byDigits: ByDigits,
	world: World
): Piece[] {
	const written = text.slice(word.from, word.to);
	// What has the shape of our numbers is one number, whatever signs are in it, and no list.
	if (written.includes('/') && world.patterns.has(shapeOf(written))) {
		const digits = digitsByPattern(written, world.patterns);
		const candidates = digits ? byDigits(digits, null, true) : [];
		return candidates.length > 0 ? [{ from: word.from, to: word.to, candidates }] : [];
	}
	if (DATE.test(written)) return [];
	const pieces: Piece[] = [];
	let before: Before | null = null;
	for (const found of written.matchAll(/[^/|]+/g)) {
		const [from, to] = [word.from + found.index, word.from + found.index + found[0].length];
		const exact = found[0].length < word.to - word.from ? whole(referenceKey(found[0])) : [];
		const run = /^\D{0,4}?(0*(\d+))\D?$/.exec(found[0]);
		const digits = run?.[2] ?? null;
		// Zeros before a short number make it one of a series; a bare short one may be anything, unless the sum says so.
		const padded =
			run !== null &&
			run[1]!.length >= SHORTEST &&
			(run[1]!.length >= SHORTEST_UNKNOWN || run[1]!.startsWith('0'));
		const candidates: readonly (readonly OpenItem[])[] = exact.length
			? [exact]
			: digits
				? byDigits(digits, before, padded)
				: [];
		if (candidates.length > 0) pieces.push({ from, to, candidates });
		// What a list goes on from are the digits that run on, without the year before them.
		const [only, other] = candidates;
		const read = other ? null : world.digitsOf.get(only?.[0]?.id ?? -1);
		const most = run ? run[1]!.length : 0;
		if (read) before = { digits: read, most: Math.max(read.length, most) };
		else if (digits && (digits.length >= SHORTEST || padded)) before = { digits, most };
	}
	return pieces;
}

/** Whether less came than is open, and the words say that it is a part, or that something was taken off. */
function saysWhy(receipt: ReceiptFacts, items: readonly OpenItem[]): boolean {
	const says = wordsSay(receipt.text);
	const open = items.reduce((sum, item) => sum + item.open, 0);
	return receipt.amount < open && (says.part ?? says.claim ?? says.tax) !== null;
}

/**
 * Documents by the digits of their numbers: of the payer and those that it may pay for, else of anybody where only one has
 * them. Fewer digits than the number before in a list are its end, first with the same beginning.
 */
function digitReader(receipt: ReceiptFacts, world: World, payer: Payer): ByDigits {
	const own = new Set(payer.customerIds.flatMap((id) => [id, ...(world.children.get(id) ?? [])]));
	const inCurrency = (digits: string) =>
		(world.byDigits.get(digits) ?? []).filter((item) => item.currency === receipt.currency);
	const documents = (items: readonly OpenItem[]): (readonly OpenItem[])[] => {
		const byDocument = new Map<number, OpenItem[]>();
		for (const item of items)
			byDocument.set(item.documentId, [...(byDocument.get(item.documentId) ?? []), item]);
		return [...byDocument.values()];
	};
	return (digits, after, padded) => {
		if (after === null || digits.length >= after.digits.length) {
			if (digits.length < SHORTEST && !padded) {
				// Three digits of the payer's own number count where the sum comes out with them.
				const short = digits.length === SHORTEST - 1 ? inCurrency(digits) : [];
				const mine = documents(short.filter((item) => own.has(item.customerId)));
				if (mine.length > 0) return [...mine, []];
				const anybody = own.size === 0 ? documents(short) : [];
				return anybody.length === 1 && anybody[0]![0]!.open === receipt.amount ? [...anybody, []] : [];
			}
			const found = inCurrency(digits);
			const mine = documents(found.filter((item) => own.has(item.customerId)));
			if (mine.length > 0) return mine;
			const anybody = documents(found);
			// Fewer digits of somebody's are no accident only where that is open at just what came, or a little more: a fee may be kept.
			const over = (anybody[0]?.[0]!.open ?? 0) - receipt.amount;
			const fits = digits.length >= SHORTEST_UNKNOWN || (over >= 0 && over * LEAST_KEPT <= receipt.amount);
			return anybody.length === 1 && fits ? anybody : [];
		}
		const same = after.digits.slice(0, after.digits.length - digits.length) + digits;
		const near = documents(inCurrency(same).filter((item) => own.size === 0 || own.has(item.customerId)));
		const ending = [...own]
			.flatMap((id) => world.itemsOf.get(id) ?? [])
			.filter((item) => {
				const number = world.digitsOf.get(item.id) ?? '';
				const long = number.length >= after.digits.length && number.length <= after.most;
				return long && number.endsWith(digits) && item.currency === receipt.currency;
			});
		const others = documents(ending).filter(
			(one) => !near.some((it) => it[0]!.documentId === one[0]!.documentId)
		);
		return [...near, ...others];
	};
}

/**
 * Chooses for each piece one of its candidates so that all of it, with what is named plainly, comes to the amount; null where
 * no choice or more than one does, or there are too many. A document is taken once.
 */
function readLoose(
	loose: readonly Piece[],
	fixed: readonly OpenItem[],
	targets: ReadonlySet<number>
): (readonly OpenItem[])[] | null {
	const worth = (items: readonly OpenItem[]) => items.reduce((sum, item) => sum + signedOpen(item), 0);
	// What the pieces from each place on may add, at the least and at the most.
	const least = [0];
	const most = [0];
	for (const { candidates } of [...loose].reverse()) {
		const worths = candidates.map(worth);
		least.unshift(least[0]! + Math.min(...worths));
		most.unshift(most[0]! + Math.max(...worths));
	}
	const [low, high] = [Math.min(...targets), Math.max(...targets)];
	let steps = 0;
	const taken = new Set(fixed.map((item) => item.documentId));
	const found = new Map<string, (readonly OpenItem[])[]>();
	const walk = (at: number, sum: number, chosen: (readonly OpenItem[])[]) => {
		if (found.size > 1 || ++steps > MOST_STEPS) return;
		if (sum + least[at]! > high || sum + most[at]! < low) return;
		if (at === loose.length) {
			// The same documents in another order are the same reading.
			const key = chosen.map((items) => items[0]!.documentId).sort((a, b) => a - b);
			if (targets.has(sum)) found.set(key.join(), [...chosen]);
			return;
		}
		for (const candidate of loose[at]!.candidates) {
			const id = candidate[0]?.documentId;
			if (id === undefined) {
				walk(at + 1, sum, chosen);
				continue;
			}
			if (taken.has(id)) continue;
			taken.add(id);
			walk(at + 1, sum + worth(candidate), [...chosen, candidate]);
			taken.delete(id);
		}
	};
	walk(0, worth(fixed), []);
	return found.size === 1 && steps <= MOST_STEPS ? [...found.values()][0]! : null;
}

/** What named items may come to: the amount, or that and a credit note of the payer that is taken off. */
function targetsOf(receipt: ReceiptFacts, payer: Payer, world: World): ReadonlySet<number> {
	const credits = payer.customerIds
		.flatMap((id) => world.itemsOf.get(id) ?? [])
		.filter((item) => item.kind === 'credit_note' && item.currency === receipt.currency);
	return new Set([receipt.amount, ...credits.map((item) => receipt.amount + item.open)]);
}
