import type { OpenItem, ReceiptFacts } from '../../model/records';
import type { Payer } from '../payer/find-payer';
import { digitsByPattern, shapeOf } from './number-patterns';
import type { Piece } from './read-loose';
import { referenceKey, SHORTEST_REFERENCE as SHORTEST, type Word } from '../../text/words-of-text';
import type { MatchIndex } from '../match-index';

/** Shortest digits taken for a number where nothing is known of the payer. */
const SHORTEST_UNKNOWN = 5;
/** A day as people write it, which is no list of numbers. */
const DATE = /^(?:\d{1,2}([/.-])\d{1,2}\1(?:19|20)?\d\d|(?:19|20)\d\d([/.-])\d{1,2}\2\d{1,2})$/;
/** What somebody who pays for others keeps is less than this part of it. */
const LEAST_KEPT = 14;

/** The number before in a list: its digits that run on, and how many it was written with. */
interface Before {
	readonly digits: string;
	readonly most: number;
}

/** Documents that digits may stand for; `padded` where zeros before them say that they are one of a series. */
export type ByDigits = (
	digits: string,
	after: Before | null,
	padded: boolean
) => readonly (readonly OpenItem[])[];

/** Reads a word at its slashes; a part of digits after a number may be that number shortened to its end. */
export function readParts(
	word: Word,
	text: string,
	whole: (key: string) => readonly OpenItem[],
	byDigits: ByDigits,
	index: MatchIndex
): Piece[] {
	const written = text.slice(word.from, word.to);
	// What has the shape of our numbers is one number, whatever signs are in it, and no list.
	if (written.includes('/') && index.patterns.has(shapeOf(written))) {
		const digits = digitsByPattern(written, index.patterns);
		const candidates = digits ? byDigits(digits, null, true) : [];
		return candidates.length > 0 ? [{ from: word.from, to: word.to, candidates }] : [];
	}
	if (DATE.test(written)) return [];
	const pieces: Piece[] = [];
	let before: Before | null = null;
	for (const found of written.matchAll(/[^/|]+/g)) {
		const [from, to] = [word.from + found.index, word.from + found.index + found[0].length];
		const exact = found[0].length < word.to - word.from ? whole(referenceKey(found[0])) : [];
		const run = /^\D{0,4}?(\d+)\D?$/.exec(found[0]);
		const digits = run?.[1]!.replace(/^0+(?=\d)/, '') ?? null;
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
		const read = other ? null : index.digitsOf.get(only?.[0]?.id ?? -1);
		const most = run ? run[1]!.length : 0;
		if (read) before = { digits: read, most: Math.max(read.length, most) };
		else if (digits && (digits.length >= SHORTEST || padded)) before = { digits, most };
	}
	return pieces;
}

/**
 * Documents by the digits of their numbers: of the payer and those that it may pay for, else of anybody where only one has
 * them. Fewer digits than the number before in a list are its end, first with the same beginning.
 */
export function digitReader(receipt: ReceiptFacts, index: MatchIndex, payer: Payer): ByDigits {
	const own = new Set(payer.customerIds.flatMap((id) => [id, ...(index.children.get(id) ?? [])]));
	const inCurrency = (digits: string) =>
		(index.byDigits.get(digits) ?? []).filter((item) => item.currency === receipt.currency);
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
			.flatMap((id) => index.itemsOf.get(id) ?? [])
			.filter((item) => {
				const number = index.digitsOf.get(item.id) ?? '';
				const long = number.length >= after.digits.length && number.length <= after.most;
				return long && number.endsWith(digits) && item.currency === receipt.currency;
			});
		const others = documents(ending).filter(
			(one) => !near.some((it) => it[0]!.documentId === one[0]!.documentId)
		);
		return [...near, ...others];
	};
}
