import type { JournalLine } from '../model/journal';
import type { DocumentIncome, DocumentKind } from '../model/records';
import { minor, type Minor } from '../money/minor';
import { CHART } from './chart';

export interface DocumentAmounts {
	readonly id: number;
	readonly kind: DocumentKind;
	readonly customerId: number;
	readonly currency: string;
	readonly net: Minor;
	readonly tax: Minor;
	readonly netBase: Minor;
	readonly taxBase: Minor;
	/** What it is income of, where that is not what its kind says. */
	readonly income?: DocumentIncome | null;
	/** Set where it is an opening balance. */
	readonly opening?: { readonly taxHere: boolean } | null;
}

/**
 * Invoice: receivables to sales and tax. Charge: receivables to recovered charges, or to interest. Credit note: the other way round. Opening
 * balances are no income of these books: they are posted against an account of their own, and their tax, too, where it was accounted for before.
 */
export function journalOfDocument(document: DocumentAmounts): JournalLine[] {
	const { id, kind, customerId, currency, opening } = document;
	const taxApart = opening ? opening.taxHere : true;
	const { tax, taxBase } = taxApart ? document : { tax: 0, taxBase: 0 };
	const [total, totalBase] = [document.net + document.tax, document.netBase + document.taxBase];
	const sign = kind === 'credit_note' ? -1 : 1;
	const line = (account: string, amount: number, base: number, customer: number | null): JournalLine => ({
		account,
		customerId: customer,
		currency,
		amount: minor(sign * amount),
		base: minor(sign * base),
		bankEntryId: null,
		source: customer === null ? null : { kind: 'document', id, itemId: null, receiptId: null }
	});
	const usual = kind === 'charge' ? CHART.recovered : CHART.sales;
	const income = opening ? CHART.openingBalances : document.income ? CHART[document.income] : usual;
	const lines = [
		line(CHART.receivables.code, total, totalBase, customerId),
		line(income.code, tax - total, taxBase - totalBase, null)
	];
	if (tax !== 0) lines.push(line(CHART.outputTax.code, -tax, -taxBase, null));
	return lines;
}
