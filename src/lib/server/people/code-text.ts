import { createHmac, timingSafeEqual } from 'node:crypto';

/** Letters and digits that cannot be taken for one another, 32 of them. */
const ALPHABET = '23456789ABCDEFGHJKLMNPQRSTUVWXYZ';
/** Five bits each: 80 bits, which nobody guesses in a week. */
const LETTERS = 16;

/** What a code is for: one for a purpose is none for another. */
export type CodePurpose = 'sign-in code' | 'recovery code';

/**
 * A code by which a person sets a password, or does without a second factor once, in groups of four. It is worked out from the
 * application's secret (HMAC-SHA256, RFC 2104) and kept nowhere: who reads the books' file reads no code.
 */
export function codeText(
	secret: string,
	purpose: CodePurpose,
	code: { readonly id: number; readonly userId: string }
): string {
	const bytes = createHmac('sha256', secret).update(`${purpose} ${code.id} ${code.userId}`).digest();
	const letters = [...bytes.subarray(0, LETTERS)].map((byte) => ALPHABET[byte & 31]);
	return letters.join('').replace(/.{4}(?=.)/g, '$&-');
}

/** Whether what somebody typed is the code: blanks, hyphens and small letters make no difference. */
export function isCode(typed: string, text: string): boolean {
	const plain = (code: string) => Buffer.from(code.toUpperCase().replace(/[^0-9A-Z]/g, ''));
	const [given, want] = [plain(typed), plain(text)];
	return given.length === want.length && timingSafeEqual(given, want);
}
