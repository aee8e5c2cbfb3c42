import type { Minor } from '../money/minor';
import { toDecimal } from '../money/to-decimal';
import { isCreditorReference } from './creditor-reference';

const MOST = 99_999_999_999;
const LONGEST_NAME = 70;
const LONGEST_WORDS = 140;

/** A payment in euro as it is read by a camera. */
export interface EpcPayment {
	readonly name: string;
	readonly iban: string;
	readonly bic: string | null;
	/** Cents. */
	readonly amount: Minor;
	/** A creditor reference of ISO 11649, or words. */
	readonly reference: string;
}

/**
 * The text of the code by which a phone fills in a payment in euro (EPC069-12, version 2.1, 002 in UTF-8).
 * @returns null where it cannot be told so: no IBAN, nothing to pay, or more than the code can name
 */
export function epcCode({ name, iban, bic, amount, reference }: EpcPayment): string | null {
	if (!/^[A-Z]{2}\d{2}[A-Z\d]{11,30}$/.test(iban) || amount <= 0 || amount > MOST) return null;
	const sum = `EUR${toDecimal(amount, 'EUR')}`;
	const remittance = isCreditorReference(reference) ? [reference] : ['', reference.slice(0, LONGEST_WORDS)];
	const payee = [...name.replace(/\s+/g, ' ')].slice(0, LONGEST_NAME).join('');
	return ['BCD', '002', '1', 'SCT', bic ?? '', payee, iban, sum, '', ...remittance].join('\n');
}
