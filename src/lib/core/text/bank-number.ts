/** A British IBAN: the country, two check digits, four letters of the bank, sort code and account number (ISO 13616, SWIFT registry). */
const BRITISH_IBAN = /^GB\d{2}[A-Z]{4}(\d{14})$/;
/** A German one: the country, two check digits, eight figures of the bank, ten of the account. */
const GERMAN_IBAN = /^DE\d{2}(\d{18})$/;
const SORT_CODE_AND_NUMBER = /^(\d{6})(\d{8})$/;

/** A number of a bank account as it is kept: capitals and digits alone, however it was typed. @param text with blanks, hyphens or none */
export function plainBankNumber(text: string): string {
	return text.replace(/[\s\-–./]/g, '').toUpperCase();
}

/**
 * What one bank account is known by, whether it was given as IBAN or as the bank's number and the account's (a sort code, a
 * German bank code).
 * @param number as it is kept
 */
export function bankNumberKey(number: string): string {
	const plain = plainBankNumber(number);
	return (BRITISH_IBAN.exec(plain) ?? GERMAN_IBAN.exec(plain))?.[1] ?? plain;
}

/** The two parts of a British account number, or null where it is something else. @param number as it is kept */
export function sortCodeAndNumber(
	number: string
): { readonly sortCode: string; readonly account: string } | null {
	const [, sort, account] = SORT_CODE_AND_NUMBER.exec(number) ?? [];
	return sort && account ? { sortCode: sort.replace(/(..)(?=.)/g, '$1-'), account } : null;
}
