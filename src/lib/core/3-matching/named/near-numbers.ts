import { endingOf } from '../../text/ending-of';
import type { OpenItem, ReceiptFacts } from '../../model/records';
import type { Payer } from '../payer/find-payer';
import { checkDigitsFit } from './creditor-references';
import { isSlip } from '../payer/near-names';
import { MOST_TEXT, referenceKey } from '../../text/words-of-text';
import type { MatchIndex } from '../match-index';

/** A number of ours that is not written quite right. */
export interface NearNumber {
	readonly item: OpenItem;
	readonly words: string;
	readonly from: number;
	readonly to: number;
	/** A letter for a digit that looks like it, two digits swapped, one digit wrong, or one too few or too many. */
	readonly how: 'letter' | 'swapped' | 'digit' | 'length';
}

/** The likelier slip first: what is read off as a letter is hardly a slip at all. */
const RANK: Readonly<Record<NearNumber['how'], number>> = { letter: 0, swapped: 1, length: 2, digit: 2 };

/** Letters that are written for digits. */
const LOOKS: Readonly<Record<string, string>> = {
	O: '0',
	Q: '0',
	D: '0',
	I: '1',
	L: '1',
	Z: '2',
	S: '5',
	B: '8',
	G: '6'
};
/** Digits of a number and of a word that may be it; of three only swapped ones and letters count. */
const SHORTEST = 3;
const SHORTEST_WRONG = 4;

/**
 * Items of the payer, open at just a sum, whose number one word of the text has nearly; those with the likeliest slip.
 * Words that are `read` already stand for what they name. Never a proof by itself: the amount and
 * the payer have to agree, and they do here.
 */
export function nearNumbers(
	receipt: ReceiptFacts,
	payer: Payer,
	index: MatchIndex,
	sum: number,
	read: readonly { readonly from: number; readonly to: number }[] = []
): NearNumber[] {
	const own = payer.customerIds
		.flatMap((id) => index.itemsOf.get(id) ?? [])
		.filter((item) => item.kind !== 'credit_note' && item.currency === receipt.currency && item.open === sum);
	if (own.length === 0) return [];
	const found = new Map<number, NearNumber>();
	for (const word of receipt.text.slice(0, MOST_TEXT).matchAll(/[\p{L}\p{N}]{3,20}/gu)) {
		const readings = digitsLike(word[0]);
		if (readings.length === 0) continue;
		const end = word.index + word[0].length;
		if (read.some(({ from, to }) => from < end && word.index < to)) continue;
		for (const item of own) {
			const [how] = readings
				.flatMap((digits) => howNear(digits, item, index) ?? [])
				.sort((a, b) => RANK[a] - RANK[b]);
			const known = found.get(item.documentId);
			if (how && (!known || RANK[how] < RANK[known.how]))
				found.set(item.documentId, {
					...{ item, words: word[0], how },
					...{ from: word.index, to: word.index + word[0].length }
				});
		}
	}
	// A reference that was asked for with one slip in it: its check digits do not fit, so it is no other.
	const words = receipt.text.slice(0, MOST_TEXT).toUpperCase().replace(/[ -]/g, '');
	for (const item of own) {
		const asked = item.paymentReference && referenceKey(item.paymentReference);
		if (!asked || !checkDigitsFit(asked) || found.has(item.documentId)) continue;
		const from = slippedReference(words, asked);
		if (from !== null)
			found.set(item.documentId, {
				...{ item, words: words.slice(from, from + asked.length), how: 'digit' },
				...{ from: 0, to: 0 }
			});
	}
	const best = Math.min(...[...found.values()].map((one) => RANK[one.how]));
	return [...found.values()].filter((one) => RANK[one.how] === best);
}

/** A word's digits, as they are written and without leading zeros, and whether letters were read as digits. */
interface Digits {
	readonly raw: string;
	readonly text: string;
	readonly letters: boolean;
}

/** Where a reference of check digits stands in a text with one slip; null where it does not. */
function slippedReference(text: string, asked: string): number | null {
	for (let at = text.indexOf('RF'); at >= 0; at = text.indexOf('RF', at + 1))
		for (const length of [asked.length, asked.length - 1, asked.length + 1])
			if (isSlip(text.slice(at, at + length), asked)) return at;
	return null;
}

/** How nearly a word has an item's number: by its running digits, or by all digits of the number as it is written. */
function howNear(digits: Digits, item: OpenItem, index: MatchIndex): NearNumber['how'] | null {
	const number = index.digitsOf.get(item.id);
	if (number && number.length >= SHORTEST) {
		const how = digits.letters && digits.text === number ? 'letter' : nearly(digits.text, number);
		if (how) return how;
	}
	for (const run of item.number.match(/\d+/g) ?? []) {
		if (run.length !== digits.raw.length || !run.includes(number ?? '')) continue;
		const how = digits.letters && digits.raw === run ? 'letter' : nearly(digits.raw, run);
		if (how) return how;
	}
	return null;
}

/**
 * The digits at the end of a word, letters that look like digits read as such, from its first sign that may be one on, and from
 * its first digit on ("SI0815": the letters may be those of a series). Empty where it has too few real digits.
 */
function digitsLike(word: string): Digits[] {
	const tail = endingOf(word.toUpperCase(), /[\dOQDILZSBG]/);
	if (tail.replace(/\D/g, '').length < SHORTEST) return [];
	return [...new Set([tail, tail.replace(/^\D+/, '')])].map((signs) => {
		const raw = [...signs].map((sign) => LOOKS[sign] ?? sign).join('');
		return { raw, text: raw.replace(/^0+/, ''), letters: /\D/.test(signs) };
	});
}

/** How two rows of digits differ, where it is by one slip. */
function nearly(a: string, b: string): 'swapped' | 'digit' | 'length' | null {
	// The digits are right, and something about them is not: another year, another prefix.
	if (a === b) return 'digit';
	if (a.length === b.length) {
		const places = [...a].flatMap((sign, i) => (sign === b[i] ? [] : [i]));
		if (places.length === 1) return a.length >= SHORTEST_WRONG ? 'digit' : null;
		const [i, j] = places;
		return places.length === 2 && j === i! + 1 && a[i!] === b[j] && a[j] === b[i!] ? 'swapped' : null;
	}
	const [short, long] = a.length < b.length ? [a, b] : [b, a];
	if (long.length - short.length !== 1 || short.length < SHORTEST_WRONG) return null;
	let i = 0;
	while (i < short.length && short[i] === long[i]) i++;
	return short.slice(i) === long.slice(i + 1) ? 'length' : null;
}
