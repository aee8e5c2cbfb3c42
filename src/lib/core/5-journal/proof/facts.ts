import type { JournalSourceKind } from '../../model/journal';

/** What the proof reads: the journal and the records beside it, amounts in minor units. */
export interface ProofFacts {
	readonly lines: readonly {
		readonly actId: number;
		readonly date: string;
		readonly account: string;
		readonly customerId: number | null;
		readonly currency: string;
		readonly amount: number;
		readonly base: number;
		readonly bankEntryId: number | null;
		/** What of the sub-ledger it stands for. */
		readonly sourceKind: JournalSourceKind | null;
		readonly sourceId: number | null;
	}[];
	readonly items: readonly {
		readonly id: number;
		readonly documentId: number;
		readonly number: string;
		readonly customerId: number;
		readonly currency: string;
		readonly credit: boolean;
		/** The day on which it was posted: its own, or that of which it is an opening balance. */
		readonly issued: string;
		readonly total: number;
		readonly totalBase: number;
		readonly stateOpen: number;
		readonly stateOpenBase: number;
	}[];
	readonly allocations: readonly {
		readonly id: number;
		readonly actId: number;
		readonly date: string;
		readonly receiptId: number | null;
		readonly creditItemId: number | null;
		readonly itemId: number;
		readonly amount: number;
		readonly creditCustomerId: number;
		readonly creditAmount: number;
		readonly itemBase: number;
		readonly creditBase: number;
		readonly undoesId: number | null;
	}[];
	readonly differences: readonly {
		readonly id: number;
		readonly date: string;
		readonly itemId: number;
		readonly amount: number;
		readonly base: number;
		readonly undoesId: number | null;
	}[];
	/** Kept fees raise a receipt's credit (+), surpluses and refunds lower it (−). */
	readonly receiptAdjustments: readonly {
		readonly id: number;
		readonly date: string;
		readonly receiptId: number;
		readonly customerId: number;
		readonly kind: string;
		readonly amount: number;
		readonly base: number;
		readonly undoesId: number | null;
	}[];
	/** Receipts allocated, with what their state says lies on account. */
	readonly receipts: readonly {
		readonly id: number;
		readonly bankEntryId: number | null;
		readonly customerId: number | null;
		readonly state: string;
		readonly amount: number;
		readonly currency: string;
		readonly onAccount: number;
		/** Recorded by hand, waiting for the bank to show it: allocated, not tied, and not petty cash. */
		readonly onItsWay: boolean;
		/** Booked to unidentified receipts, and still waiting for its payer to be found. */
		readonly unidentified: boolean;
	}[];
	/** Postings of receipts to customers by act: + when allocated, − when taken back. */
	readonly receiptPostings: readonly {
		readonly receiptId: number;
		readonly customerId: number;
		readonly date: string;
		readonly sign: 1 | -1;
	}[];
	/** What spans say changed of what is open and on account, by day: what begins on it, less what ends. */
	readonly spans: readonly {
		readonly customerId: number;
		readonly currency: string;
		readonly date: string;
		readonly amount: number;
		readonly base: number;
	}[];
	readonly entries: readonly {
		readonly id: number;
		readonly accountId: number;
		readonly amount: number;
		readonly currency: string;
	}[];
	readonly statements: readonly {
		readonly accountId: number;
		readonly reference: string;
		readonly opening: number | null;
		readonly closing: number | null;
		readonly entries: number;
	}[];
	readonly bankAccounts: readonly {
		readonly id: number;
		readonly name: string;
		readonly ledger: string;
		readonly currency: string;
	}[];
	/** Returned payments and their bank fees that no debit entry of the bank has shown yet. */
	readonly returned: readonly { readonly currency: string; readonly amount: number }[];
	readonly receivables: string;
	/** The ledger account of money on its way. */
	readonly way: string;
	/** That of returned payments that the bank has not shown. */
	readonly back: string;
	/** That of receipts whose payer nobody knows yet. */
	readonly unidentified: string;
}

/** A rule that does not hold: figures that do not agree, or a record that is not as it was written. */
export type Breach = FiguresBreach | RecordBreach;

/** Amounts in minor units. */
export interface FiguresBreach {
	readonly rule: 1 | 2 | 3 | 4 | 5 | 7 | 10;
	readonly about: string;
	readonly want: number;
	readonly found: number;
	readonly currency: string;
}

/** What is wrong with a record: see `recordFaultText` for each in words. */
export type RecordFault =
	| 'changed'
	| 'missing'
	| 'added'
	| 'foreign'
	| 'unsealed'
	| 'unguarded'
	| 'signature'
	| 'cut-off'
	| 'made-anew';

export interface RecordBreach {
	readonly rule: 6 | 8 | 9;
	readonly about: string;
	readonly fault: RecordFault;
}

/** Adds to a sum kept under a key. */
export function tally<K>(sums: Map<K, number>, key: K, amount: number): void {
	sums.set(key, (sums.get(key) ?? 0) + amount);
}
