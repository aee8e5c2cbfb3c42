import type { OpenItem, ReceiptFacts } from '../model/records';
import type { Payer } from './find-payer';
import { MOST_TEXT } from './words-of-text';
import type { World } from './world';

/** A number of ours that is not written quite right. */
export interface NearNumber {
	readonly item: OpenItem;
	readonly words: string;
	readonly from: number;
	readonly to: number;
	/** A letter for a digit that looks like it, two digits swapped, one digit wrong, or one too few or too many. */
	readonly how: 'letter' | 'swapped' | 'digit' | 'length';
}

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
const SHORTEST = 4;

/**
 * Items of the payer, open at just a sum, whose number one word of the text has nearly. Never a proof by itself: the amount and
 * the payer have to agree, and they do here.
 */
export function nearNumbers(receipt: ReceiptFacts, payer: Payer, world: World, sum: number): NearNumber[] {
	const own = payer.customerIds
		.flatMap((id) => world.itemsOf.get(id) ?? [])
		.filter((item) => item.kind !== 'credit_note' && item.currency === receipt.currency && item.open === sum);
	if (own.length === 0) return [];
	const found = new Map<number, NearNumber>();
	for (const word of receipt.text.slice(0, MOST_TEXT).matchAll(/[\p{L}\p{N}]{4,20}/gu)) {
		const digits = digitsLike(word[0]);
		if (digits === null) continue;
		for (const item of own) {
			const number = world.digitsOf.get(item.id);
			if (!number || number.length < SHORTEST) continue;
			const how = digits.letters && digits.text === number ? 'letter' : nearly(digits.text, number);
			if (how && !found.has(item.documentId))
				found.set(item.documentId, {
					...{ item, words: word[0], how },
					...{ from: word.index, to: word.index + word[0].length }
				});
		}
	}
	return [...found.values()];
}

/** The digits at the end of a word, letters that look like digits read as such; null where it has too few real ones. */
function digitsLike(word: string): { text: string; letters: boolean } | null {
	const upper = word.toUpperCase();
	const tail = /[\dOQDILZSBG]+$/.exec(upper)?.[0] ?? '';
	const text = [...tail]
		.map((sign) => LOOKS[sign] ?? sign)
		.join('')
		.replace(/^0+/, '');
	const real = tail.replace(/\D/g, '').length;
	return text.length >= SHORTEST && real >= SHORTEST - 1 ? { text, letters: /\D/.test(tail) } : null;
}

/** How two rows of digits differ, where it is by one slip. */
function nearly(a: string, b: string): 'swapped' | 'digit' | 'length' | null {
	if (a === b) return null;
	if (a.length === b.length) {
		const places = [...a].flatMap((sign, i) => (sign === b[i] ? [] : [i]));
		if (places.length === 1) return 'digit';
		const [i, j] = places;
		return places.length === 2 && j === i! + 1 && a[i!] === b[j] && a[j] === b[i!] ? 'swapped' : null;
	}
	const [short, long] = a.length < b.length ? [a, b] : [b, a];
	if (long.length - short.length !== 1 || short.length < SHORTEST) return null;
	let i = 0;
	while (i < short.length && short[i] === long[i]) i++;
	return short.slice(i) === long.slice(i + 1) ? 'length' : null;
}
