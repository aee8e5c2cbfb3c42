import { endingOf } from '../../core/text/ending-of';
import { dictionary } from '@zxcvbn-ts/language-common';

/** Characters that a password needs, and may have at most (ASVS 4.0.3, 2.1.1 and 2.1.2). */
export const LEAST_PASSWORD = 12;
export const MOST_PASSWORD = 128;
/** Shorter words of the person or the firm are found in anything. */
const LEAST_WORD = 4;

let common: ReadonlySet<string> | null = null;

/**
 * What is wrong with a password that somebody wants to have, as a sentence; null where nothing is. It is refused where it is one of
 * those that everybody tries (ASVS 4.0.3, 2.1.7), with figures or signs put before or behind it, or said twice; or where it is the
 * person's or firm's own name. No kinds of characters are asked for (2.1.9).
 * @param own names, addresses: what is known of the person
 */
export function passwordFault(password: string, own: readonly string[]): string | null {
	const length = [...password].length;
	if (length < LEAST_PASSWORD) return `A password needs ${LEAST_PASSWORD} characters at least.`;
	if (length > MOST_PASSWORD) return `A password may have ${MOST_PASSWORD} characters at most.`;
	const plain = password.toLowerCase();
	const from = plain.replace(/^[^a-z]{0,20}/, '');
	const core = from.slice(0, from.length - endingOf(from, /[^a-z]/).length);
	if (new Set(plain).size < 5) return 'That repeats a few characters: choose another password.';
	common ??= new Set(dictionary['passwords-common']);
	if ([plain, core, half(plain), half(core)].some((one) => one !== null && common!.has(one)))
		return 'That is one of the passwords that are tried first. Choose another: a few words together do well.';
	const words = own.flatMap((text) => text.toLowerCase().split(/[^\p{L}\p{N}]+/u));
	const left = words.reduce(
		(rest, word) => (word.length >= LEAST_WORD ? rest.split(word).join('') : rest),
		plain
	);
	if (left.length < plain.length && left.length < LEAST_PASSWORD / 2)
		return 'That is little more than your own name or address. Choose another password.';
	return null;
}

/** What is said twice; null where it is not. */
function half(text: string): string | null {
	const [one, other] = [text.slice(0, text.length / 2), text.slice(text.length / 2)];
	return one !== '' && one === other ? one : null;
}
