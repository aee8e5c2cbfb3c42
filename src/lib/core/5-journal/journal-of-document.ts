import type { JournalLine } from '../model/journal';
import type { DocumentKind } from '../model/records';
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
}

/** Invoice: receivables to sales and tax. Charge: receivables to recovered charges. Credit note: the other way round. */
export function journalOfDocument(document: DocumentAmounts): JournalLine[] {
	const { id, kind, customerId, currency, net, tax, netBase, taxBase } = document;
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
	const income = kind === 'charge' ? CHART.recovered.code : CHART.sales.code;
	const lines = [
		line(CHART.receivables.code, net + tax, netBase + taxBase, customerId),
		line(income, -net, -netBase, null)
	];
	if (tax !== 0) lines.push(line(CHART.outputTax.code, -tax, -taxBase, null));
	return lines;
}
