import type { FeeKind, SurplusKind } from '../model/posting';
import type { DifferenceKind, OpenItem } from '../model/records';
import type { Minor } from '../money/minor';

/** What is laid on one item: cash of the money (negative for a credit note that joins in) and named differences. */
export interface AllocateLine {
	readonly item: OpenItem;
	/** In the currency of the money. */
	readonly cash: Minor;
	/** What the cash settles of an item in another currency, in that currency; left out where it is the same. */
	readonly settles?: Minor;
	/** In the item's currency, always positive: the direction is known. */
	readonly differences: readonly { readonly kind: DifferenceKind; readonly amount: Minor }[];
}

/** Money that came before and lies on account, and how much of it is allocated now. */
export interface CreditUse {
	readonly receiptId: number;
	readonly customerId: number;
	readonly currency: string;
	readonly onAccount: Minor;
	readonly onAccountBase: Minor;
	readonly use: Minor;
}

export interface AllocateOrder {
	/** The new money; null where only credits are allocated. */
	readonly receipt: {
		readonly id: number;
		readonly customerId: number;
		/** As the bank shows it, after what was kept. */
		readonly amount: Minor;
		readonly base: Minor;
		/** What a bank or processor kept, where the customer is credited in full. */
		readonly fees: readonly { readonly kind: FeeKind; readonly amount: Minor; readonly base: Minor }[];
		readonly surplus: readonly { readonly kind: SurplusKind; readonly amount: Minor }[];
	} | null;
	/** Of the money and of all credits. */
	readonly currency: string;
	readonly credits: readonly CreditUse[];
	readonly lines: readonly AllocateLine[];
	/** The firm's tolerance for small differences, in minor units of the money's currency; null for none. */
	readonly tolerance: Minor | null;
}
