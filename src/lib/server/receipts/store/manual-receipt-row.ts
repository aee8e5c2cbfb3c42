import type { PaidInto } from './paid-into';

/** A row of money recorded by hand, not posted yet; without an id it is new. */
export interface ManualReceiptRow {
	readonly id: number | null;
	readonly customerId: number;
	readonly date: string;
	readonly method: string;
	readonly reference: string;
	readonly amount: number;
	readonly currency: string;
	readonly paidInto: PaidInto;
	/** `oldest`, `account`, or document numbers. */
	readonly pays: string;
}
