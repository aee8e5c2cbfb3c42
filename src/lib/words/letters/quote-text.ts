import { isCreditorReference } from '../../core/7-letters/creditor-reference';

/** What is to be quoted, as it is printed: a creditor reference in groups of four, other words as they are. */
export function quoteText(reference: string): string {
	return isCreditorReference(reference) ? reference.replace(/(.{4})(?=.)/g, '$1 ') : reference;
}
