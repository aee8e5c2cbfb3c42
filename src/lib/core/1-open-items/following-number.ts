import { endingOf } from '../text/ending-of';

/** The number after a number: its last digits raised by one, zeros before them kept. "AK-0099" is followed by "AK-0100". */
export function followingNumber(number: string): string {
	const after = endingOf(number, /\D/);
	const upTo = number.slice(0, number.length - after.length);
	const digits = endingOf(upTo, /\d/);
	if (digits === '') return `${number}-2`;
	const before = upTo.slice(0, upTo.length - digits.length);
	return `${before}${String(BigInt(digits) + 1n).padStart(digits.length, '0')}${after}`;
}
