import { tellingWords } from './telling-words';

/** Fewer letters than this are in too many payments. */
const SHORTEST = 8;
const LONGEST = 80;

/**
 * What the words of a payment are remembered by: its telling words, without the numbers that change each time. "TERM FEES 2026/3
 * HARTWELL" gives "TERM FEES HARTWELL"; null where too little is left.
 */
export function wordsKey(text: string): string | null {
	const words = tellingWords(text);
	const key = words.join(' ').slice(0, LONGEST);
	return words.length >= 2 && key.length >= SHORTEST ? key : null;
}
