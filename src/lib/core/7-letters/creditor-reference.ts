const LONGEST = 21;

/**
 * A creditor reference of ISO 11649:2009 made of a code: `RF`, two check digits (MOD 97-10 of ISO 7064) and the code in capitals.
 * @returns null where the code is not 1 to 21 letters and digits: leaving signs out could make two codes the same
 */
export function creditorReference(code: string): string | null {
	const key = code.toUpperCase();
	if (!/^[A-Z\d]+$/.test(key) || key.length > LONGEST) return null;
	return `RF${String(98 - remainder(`${key}RF00`)).padStart(2, '0')}${key}`;
}

/** Whether a text is a creditor reference with check digits that fit. */
export function isCreditorReference(text: string): boolean {
	const [, digits, key] = /^RF(\d{2})([A-Z\d]{1,21})$/.exec(text) ?? [];
	return digits !== undefined && creditorReference(key!) === `RF${digits}${key}`;
}

function remainder(key: string): number {
	let rest = 0;
	for (const sign of key)
		for (const digit of sign >= 'A' ? String(sign.charCodeAt(0) - 55) : sign)
			rest = (rest * 10 + Number(digit)) % 97;
	return rest;
}
