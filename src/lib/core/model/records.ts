import type { Day } from '../day/day';
import type { Minor } from '../money/minor';

/** Records that stages of the road share: plain, read-only, and without logic. Ids are those of the database rows. */

/** A claim is a short payment in dispute, split off its invoice and owed by itself until it is decided. */
export type DocumentKind = 'invoice' | 'credit_note' | 'charge' | 'claim';

/** What a charge, or a credit note for one, is income of; others are sales. */
export const DOCUMENT_INCOMES = ['recovered', 'interest'] as const;
export type DocumentIncome = (typeof DOCUMENT_INCOMES)[number];

/** What a credit note is given for: goods that came back, a price that was wrong, goodwill; `other` where a file does not say. */
export const CREDIT_NOTE_KINDS = ['goods', 'price', 'goodwill', 'other'] as const;
export type CreditNoteKind = (typeof CREDIT_NOTE_KINDS)[number];

/** Names of a gap that closes without cash; the wire names are those of the trial run. */
export const DIFFERENCE_KINDS = [
	'settlement_discount',
	'processor_fee',
	'bank_charge',
	'claim',
	'withholding_tax',
	'currency',
	'small_difference',
	'bad_debt'
] as const;
export type DifferenceKind = (typeof DIFFERENCE_KINDS)[number];

/** One instalment of a document with something to settle. `open` is never negative, for credit notes too. */
export interface OpenItem {
	readonly id: number;
	readonly documentId: number;
	readonly number: string;
	readonly kind: DocumentKind;
	readonly customerId: number;
	readonly currency: string;
	readonly issued: Day;
	readonly due: Day;
	/** Of this instalment. */
	readonly total: Minor;
	readonly open: Minor;
	/** What `open` stands for in base currency, at the rate of the document's day. */
	readonly openBase: Minor;
	/** Which of how many instalments; 1 of 1 for most. */
	readonly part: number;
	readonly parts: number;
	readonly purchaseOrder: string | null;
	/** Our own order, which a deposit may have been paid for. */
	readonly orderReference: string | null;
	readonly paymentReference: string | null;
	readonly text: string;
	readonly discountBasisPoints: number | null;
	readonly discountUntil: Day | null;
	/** Raised by each act that changes the item; an act names the version it saw. */
	readonly version: number;
}

/** Who may pay: what matching and letters need of a customer account. */
export interface Customer {
	readonly id: number;
	readonly code: string;
	readonly name: string;
	readonly otherNames: readonly string[];
	/** IBANs or account numbers, without spaces. */
	readonly payerAccounts: readonly string[];
	readonly parentId: number | null;
	readonly currency: string;
}

/** Money from one payer, as the bank showed it. */
/** A statement that does not go on from the one before, or a file that a second person has not confirmed. */
export type SourceDoubt =
	| { readonly code: 'statement-doubted'; readonly reference: string }
	| { readonly code: 'file-unconfirmed'; readonly file: string; readonly who: string };

export interface ReceiptFacts {
	readonly id: number;
	/** Order of answering: by booking day, then place in the file. */
	readonly booked: Day;
	readonly amount: Minor;
	readonly currency: string;
	readonly payerName: string | null;
	readonly payerAccount: string | null;
	/** Free remittance text, lines joined by a space. */
	readonly text: string;
	readonly structuredReference: string | null;
	readonly endToEndId: string | null;
	/** Charges that the bank says it kept. */
	readonly charges?: Minor;
	/** Whose it is, where somebody said so when it was recorded or split off. */
	readonly knownCustomerId?: number | null;
	/** Why what it came with is doubted; null or left out where all is well. */
	readonly doubt?: SourceDoubt | null;
}
