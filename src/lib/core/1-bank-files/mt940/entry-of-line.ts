import { currencyDigits } from '../../money/currency';
import { ZERO, type Minor } from '../../money/minor';
import { cleanLine } from '../../text/clean-text';
import type { StatementEntry } from '../../model/bank';
import { given } from '../given';
import type { Information } from './information';
import { readDecimal } from './read-decimal';
import type { StatementLine } from './read-line';
import { readSlashed } from './read-slashed';

/**
 * The entry that a statement line and its information are. The bank's reference of field 61 is sixteen signs that some banks use again, so
 * it does not tell entries apart as that of ISO 20022 does: it is kept as a reference like others.
 */
export function entryOfLine(
	line: StatementLine,
	information: Information,
	index: number,
	currency: string
): StatementEntry {
	const beside = readSlashed(line.supplement);
	const ordered = amountWithin(beside?.ordered ?? information.ordered);
	const charges = amountWithin(beside?.charges ?? information.charges);
	const chargesHere = charges && (charges.currency ?? currency) === currency ? charges.amount : null;
	const own = given(line.ownReference);
	return {
		index,
		booked: line.booked,
		valued: line.valued,
		amount: line.amount,
		currency,
		reversal: line.reversal,
		entryReference: given(line.bankReference) ?? own,
		bankReference: null,
		code: [line.type, information.businessCode].filter(Boolean).join('-') || null,
		text: beside ? '' : cleanLine(line.supplement),
		charges: ZERO,
		details: [
			{
				amount: null,
				counterpartyName: information.name,
				counterpartyAccount: information.account,
				endToEndId: information.endToEndId ?? own,
				structuredReference: information.structuredReference,
				text: information.text,
				charges: (chargesHere && positive(readDecimal(chargesHere, currency))) || ZERO,
				instructed:
					ordered?.currency && ordered.currency !== currency
						? { amount: ordered.amount.replace(',', '.').replace(/\.$/, ''), currency: ordered.currency }
						: null,
				returnReason: information.returnReason
			}
		]
	};
}

/** "EUR12,30", "12,30" or "12,30 EUR" within a text. */
function amountWithin(
	text: string | null
): { readonly amount: string; readonly currency: string | null } | null {
	const [, before, amount, after] =
		/^([A-Z]{3})?\s*(\d{1,15}(?:[.,]\d{0,5})?)\s*([A-Z]{3})?/.exec(text ?? '') ?? [];
	if (!amount) return null;
	const currency = before ?? after ?? null;
	return { amount, currency: currency && currencyDigits(currency) !== undefined ? currency : null };
}

function positive(amount: Minor | string): Minor | null {
	return typeof amount === 'string' ? null : amount;
}
