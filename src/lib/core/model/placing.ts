import type { Minor } from '../money/minor';
import type { DifferenceKind } from './records';

/** Where the value of an allocation comes from: a receipt, or an instalment of a credit note. */
export type CreditSource = { readonly receiptId: number } | { readonly itemId: number };

/** So much of one credit against one open item. `creditBase − itemBase` is the currency difference realised. */
export interface Allocation {
	readonly source: CreditSource;
	readonly itemId: number;
	readonly amount: Minor;
	readonly itemBase: Minor;
	readonly creditBase: Minor;
}

/** An amount that closes a gap without cash; positive, it always lowers what is owed. */
export interface Difference {
	readonly itemId: number;
	readonly kind: DifferenceKind;
	readonly amount: Minor;
	readonly base: Minor;
}

/** All that placing one receipt does to the sub-ledger. */
export interface Placing {
	readonly allocations: readonly Allocation[];
	readonly differences: readonly Difference[];
	/** What stays with the customer as credit. */
	readonly onAccount: Minor;
	readonly onAccountBase: Minor;
	/** The items touched, as they are afterwards. */
	readonly changes: readonly { readonly itemId: number; readonly open: Minor; readonly openBase: Minor }[];
}
