import type { Day } from '../day/day';
import type { Minor } from '../money/minor';

/** A statement as a bank file brings it; amounts in minor units of `currency`, credit positive, debit negative. */
export interface StatementHeader {
	readonly reference: string;
	readonly sequence: string | null;
	/** IBAN or other account number, without spaces. */
	readonly account: string;
	readonly currency: string | null;
	readonly from: Day | null;
	readonly to: Day | null;
}

export interface StatementBalances {
	readonly opening: Minor | null;
	readonly openingOn: Day | null;
	readonly closing: Minor | null;
	readonly closingOn: Day | null;
}

/** One transaction within an entry. A missing part is null, never made up. */
export interface EntryDetail {
	/** Unsigned, in the currency of the entry, or null where the bank gives none or gives another currency. */
	readonly amount: Minor | null;
	readonly counterpartyName: string | null;
	readonly counterpartyAccount: string | null;
	readonly endToEndId: string | null;
	readonly structuredReference: string | null;
	readonly text: string;
	/** Charges that the bank states for this transaction, positive, in the currency of the entry. */
	readonly charges: Minor;
	/** What the payer ordered, where that was in another currency: decimal text beside its code. */
	readonly instructed: { readonly amount: string; readonly currency: string } | null;
	readonly returnReason: string | null;
}

/** One line of a statement. `amount` is signed by the direction in which the balance moved. */
export interface StatementEntry {
	readonly index: number;
	readonly booked: Day;
	readonly valued: Day | null;
	readonly amount: Minor;
	readonly currency: string;
	readonly reversal: boolean;
	readonly entryReference: string | null;
	readonly bankReference: string | null;
	readonly code: string | null;
	readonly text: string;
	readonly charges: Minor;
	readonly details: readonly EntryDetail[];
}
