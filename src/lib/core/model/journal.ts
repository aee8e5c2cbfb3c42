import type { Minor } from '../money/minor';

/**
 * What of the sub-ledger a line of receivables stands for, by the record's own number:
 * - `document`: an invoice, credit note, charge or claim as a whole; also what is credited back on it
 * - `receipt`: the money of a receipt
 * - `receipt-adjustment`: what a bank kept of it, what was paid back, or what came back
 * - `deduction`: what closes a gap without cash, on its item
 * - `allocation`: value that moves between two accounts or currencies, or the currency difference realised
 * - `currency-difference`: that of several allocations of one act together, by the act's number; only earlier versions wrote it
 */
export type JournalSourceKind =
	'document' | 'receipt' | 'receipt-adjustment' | 'deduction' | 'allocation' | 'currency-difference';

export interface JournalSource {
	readonly kind: JournalSourceKind;
	readonly id: number;
	/** The item that it is about, where it is one. */
	readonly itemId: number | null;
	/** The receipt whose money it is, where there is one. */
	readonly receiptId: number | null;
}

/** One line of a journal: debit positive, credit negative, in its currency and in base currency. */
export interface JournalLine {
	readonly account: string;
	readonly customerId: number | null;
	readonly currency: string;
	readonly amount: Minor;
	readonly base: Minor;
	/** The bank entry that this line stands for, on bank lines. */
	readonly bankEntryId: number | null;
	/** What of the sub-ledger it stands for: on every line of receivables, and on no other. */
	readonly source: JournalSource | null;
}
