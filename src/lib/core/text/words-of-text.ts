/** A run of letters, digits and the signs that document numbers carry, with its place in the text. */
export interface Word {
	/** Upper case, without separators: "ak-40 233" gives AK, 40, 233; "AK-40233" gives AK40233. */
	readonly key: string;
	readonly from: number;
	readonly to: number;
}

/** Longest text that is read; a bank gives at most some thousand characters, more is made to be slow. */
export const MOST_TEXT = 10_000;

/** Shortest free word taken for a reference: shorter ones are found in any text. */
export const SHORTEST_REFERENCE = 4;

/** A document number or reference as it is compared: upper case letters and digits only. */
export function referenceKey(reference: string): string {
	return reference.toUpperCase().replace(/[^\p{L}\p{N}]/gu, '');
}

/** Splits text at spaces and at , ; : ( ) + & " '; keeps - / . _ # inside a word, where numbers carry them. */
export function wordsOfText(text: string): Word[] {
	const words: Word[] = [];
	for (const found of text.slice(0, MOST_TEXT).matchAll(/[^\s,;:()+&"']+/g)) {
		const key = referenceKey(found[0]);
		if (key) words.push({ key, from: found.index, to: found.index + found[0].length });
	}
	return words;
}

/** A number that is written with spaces has no more parts than this. */
const MOST_PARTS = 4;

/** Words in a row, two to four, with nothing but one sign or space between them, as one: numbers are written with spaces, too. */
export function joinedWords(text: string, words: readonly Word[]): Word[] {
	const joined: Word[] = [];
	for (let i = 0; i < words.length; i++) {
		let key = words[i]!.key;
		for (let j = i + 1; j < Math.min(words.length, i + MOST_PARTS); j++) {
			if (words[j]!.from - words[j - 1]!.to !== 1 || !/\s/.test(text[words[j]!.from - 1]!)) break;
			key += words[j]!.key;
			if (key.length > 35) break;
			if (/\d/.test(key)) joined.push({ key, from: words[i]!.from, to: words[j]!.to });
		}
	}
	return joined;
}

/** What stands before a number in one word with it: "No.", "Nr.", "N°", "INV:", "#". */
const GLUED = /^(?:[\p{L}°º]{1,8}[.:°º#*=-]+|#+)(?=[\p{L}\p{N}])/u;

/** A word without what is glued before the number in it ("No.SI0815" gives SI0815); null where nothing is. */
export function withoutGlued(word: Word, text: string): Word | null {
	const before = GLUED.exec(text.slice(word.from, word.to))?.[0].length ?? 0;
	if (before === 0) return null;
	const from = word.from + before;
	return { key: referenceKey(text.slice(from, word.to)), from, to: word.to };
}
