/** The number after a number: its last digits raised by one, zeros before them kept. "AK-0099" is followed by "AK-0100". */
export function followingNumber(number: string): string {
	const found = /^(.*?)(\d+)(\D*)$/.exec(number);
	if (!found) return `${number}-2`;
	const [, before = '', digits = '', after = ''] = found;
	return `${before}${String(BigInt(digits) + 1n).padStart(digits.length, '0')}${after}`;
}
