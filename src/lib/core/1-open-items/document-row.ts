import type { Day } from '../day/day';
import type { DocumentKind } from '../model/records';
import type { Minor } from '../money/minor';

/** A line of a document: its net amount, the rate of its tax in basis points, and the tax. */
export interface DocumentLine {
	readonly text: string;
	readonly net: Minor;
	readonly taxBasisPoints: number;
	readonly tax: Minor;
}

/** That documents are opening balances: what was owed when these books were begun, on the day that the books of before ended. */
export interface Opening {
	/** The day that the balances are of; they are posted on it. */
	readonly on: Day;
	/** Whether their tax is still to be accounted for here: it is posted as tax, not with the rest. */
	readonly taxHere: boolean;
	/** What the control account of the books of before shows, in base currency; null where nobody said it. */
	readonly control: Minor | null;
	/** What the opening balances may be above it, as somebody agreed to. */
	readonly apart: Minor;
}

/** An open document as a table or an XML file describes it. */
export interface DocumentRow {
	/** The XML file that it came in; a table has lines instead. */
	readonly file?: string;
	readonly line: number;
	readonly number: string;
	readonly kind: Exclude<DocumentKind, 'claim'>;
	/** The customer's code; empty where only the name is known. */
	readonly customerCode: string;
	readonly customerName?: string;
	readonly issued: Day;
	/** Null where it follows from the customer's terms. */
	readonly due: Day | null;
	readonly currency: string;
	readonly total: Minor;
	/** What is left of it, above zero and at most the total. */
	readonly open: Minor;
	readonly purchaseOrder: string | null;
	readonly orderReference?: string | null;
	readonly paymentReference: string | null;
	readonly text: string;
	/** Lines that add up to the total; none where the whole is one sum. */
	readonly lines: readonly DocumentLine[];
	/** Instalments, adding up to the total; none where all is due on `due`. */
	readonly instalments: readonly { readonly due: Day; readonly amount: Minor }[];
	/** Set where it is an opening balance, and no sale of these books. */
	readonly opening?: Opening;
	/** Prompt-payment discount where the document itself states one. */
	readonly discount?: { readonly basisPoints: number; readonly until: Day } | null;
}
