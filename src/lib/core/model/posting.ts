import type { Minor } from '../money/minor';
import type { DifferenceKind } from './records';

/** Where the value of an allocation comes from: a receipt, or an instalment of a credit note. */
export type CreditSource = { readonly receiptId: number } | { readonly itemId: number };

/**
 * So much of one credit against one open item. `amount` and `itemBase` are in the item's currency and its base value,
 * `creditAmount` and `creditBase` those of the credit; the amounts are the same unless the currencies differ.
 * `creditBase − itemBase` is the currency difference realised.
 */
export interface Allocation {
	readonly source: CreditSource;
	readonly creditCustomerId: number;
	readonly creditCurrency: string;
	readonly itemId: number;
	readonly itemCustomerId: number;
	readonly itemCurrency: string;
	readonly amount: Minor;
	readonly creditAmount: Minor;
	readonly itemBase: Minor;
	readonly creditBase: Minor;
}

/** An amount that closes a gap without cash; positive, it always lowers what is owed on the item. */
export interface Difference {
	readonly itemId: number;
	readonly customerId: number;
	readonly currency: string;
	readonly kind: DifferenceKind;
	readonly amount: Minor;
	readonly base: Minor;
}

/** What a bank or processor kept from a payment that is credited in full. */
export type FeeKind = 'processor_fee' | 'bank_charge';
/** What leaves a credit without settling anything: a trifle paid too much, or money to be paid back. */
export type SurplusKind = 'small_difference' | 'refund';

/** A change of a receipt's credit other than by allocation: a kept fee raises it (+), a surplus or its return lowers it (−). */
export interface ReceiptAdjustment {
	readonly receiptId: number;
	readonly customerId: number;
	readonly currency: string;
	readonly kind: FeeKind | SurplusKind | 'returned';
	readonly amount: Minor;
	readonly base: Minor;
}

/** What of a receipt's money is not allocated to anything, as it is after the act. */
export interface CreditState {
	readonly receiptId: number;
	readonly onAccount: Minor;
	readonly onAccountBase: Minor;
}

/** The same with the numbers that its records have, or will have, in the books. */
export interface NumberedPosting extends Posting {
	readonly allocations: readonly (Allocation & { readonly id: number })[];
	readonly differences: readonly (Difference & { readonly id: number })[];
	readonly receiptAdjustments: readonly (ReceiptAdjustment & { readonly id: number })[];
}

/** All that allocation money and credits does to the sub-ledger. */
export interface Posting {
	readonly allocations: readonly Allocation[];
	readonly differences: readonly Difference[];
	readonly receiptAdjustments: readonly ReceiptAdjustment[];
	/** The receipts drawn on, the new one among them, as they are afterwards. */
	readonly credits: readonly CreditState[];
	/** The items touched, as they are afterwards. */
	readonly changes: readonly { readonly itemId: number; readonly open: Minor; readonly openBase: Minor }[];
}
