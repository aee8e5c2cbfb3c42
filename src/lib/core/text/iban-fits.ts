/** Country, check digits and account of an IBAN (ISO 13616-1): 15 to 34 characters in all. */
const IBAN = /^[A-Z]{2}\d{2}[A-Z0-9]{11,30}$/;

/**
 * Whether an account number's check digits fit (ISO 7064 MOD 97-10, as ISO 13616-1 uses it); null where it is no IBAN and has none.
 * @param text blanks and small letters do not matter
 */
export function ibanFits(text: string): boolean | null {
	const plain = text.replace(/\s/g, '').toUpperCase();
	if (!IBAN.test(plain)) return null;
	let rest = 0;
	for (const sign of plain.slice(4) + plain.slice(0, 4)) {
		// A is 10, Z is 35; digits are themselves.
		const value = parseInt(sign, 36);
		rest = (rest * (value > 9 ? 100 : 10) + value) % 97;
	}
	return rest === 1;
}
