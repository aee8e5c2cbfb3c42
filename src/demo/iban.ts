/** A made-up IBAN with right check digits (ISO 13616, MOD 97-10 of ISO 7064), at a bank code that no bank has. */
export function madeUpIban(country: string, bank: string, number: number): string {
	const body = `${bank}${String(number).padStart(country === 'GB' ? 14 : 18 - bank.length, '0')}`;
	const digits = [...`${body}${country}00`]
		.map((sign) => (/\d/.test(sign) ? sign : String(sign.charCodeAt(0) - 55)))
		.join('');
	const check = 98n - (BigInt(digits) % 97n);
	return `${country}${String(check).padStart(2, '0')}${body}`;
}

/** ISO 11649 creditor reference: RF, two check digits, and our own reference. */
export function creditorReference(own: string): string {
	const digits = [...`${own}RF00`]
		.map((sign) => (/\d/.test(sign) ? sign : String(sign.charCodeAt(0) - 55)))
		.join('');
	return `RF${String(98n - (BigInt(digits) % 97n)).padStart(2, '0')}${own}`;
}
