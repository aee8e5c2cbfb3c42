import { MOST_TEXT } from '../../text/words-of-text';

/** A creditor reference as it stands in a text. */
export interface CreditorReference {
	/** Without spaces, upper case: RF18539007547034. */
	readonly key: string;
	readonly from: number;
	readonly to: number;
}

/** RF, two check digits, and up to 21 letters and digits, in groups of four when it is printed (ISO 11649:2009, 4). */
const WRITTEN = /(?<![\p{L}\p{N}])RF\d{2}(?:[ -]?[A-Z\d]{1,4}){1,6}(?![\p{L}\p{N}])/giu;
const LONGEST = 25;
const SHORTEST = 5;

/** Creditor references in a text whose check digits are right: the longest beginning of each that they fit. */
export function creditorReferences(text: string): CreditorReference[] {
	const found: CreditorReference[] = [];
	for (const match of text.slice(0, MOST_TEXT).matchAll(WRITTEN)) {
		// Words may follow it that look like more groups: the check digits say where it ends.
		const ends = [...match[0].matchAll(/[A-Z\d]+/gi)].map((group) => group.index + group[0].length);
		for (const end of ends.reverse()) {
			const key = match[0].slice(0, end).replace(/[ -]/g, '').toUpperCase();
			if (!checkDigitsFit(key)) continue;
			found.push({ key, from: match.index, to: match.index + end });
			break;
		}
	}
	return found;
}

/** Whether the check digits of a creditor reference fit: MOD 97-10 of ISO 7064, over all of it with its first four last. */
export function checkDigitsFit(key: string): boolean {
	if (!/^RF\d{2}[A-Z\d]+$/.test(key) || key.length < SHORTEST || key.length > LONGEST) return false;
	let rest = 0;
	for (const sign of key.slice(4) + key.slice(0, 4))
		for (const digit of sign >= 'A' ? String(sign.charCodeAt(0) - 55) : sign)
			rest = (rest * 10 + Number(digit)) % 97;
	return rest === 1;
}
