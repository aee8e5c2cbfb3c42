import type { DifferenceKind, OpenItem } from '../model/records';
import type { Minor } from '../money/minor';

/** What a clerk lays on one item: cash of the receipt (negative for a credit note that joins in) and named differences. */
export interface PlaceLine {
	readonly item: OpenItem;
	readonly cash: Minor;
	readonly differences: readonly { readonly kind: DifferenceKind; readonly amount: Minor }[];
}

export interface PlaceOrder {
	readonly receipt: {
		readonly id: number;
		readonly amount: Minor;
		readonly currency: string;
		readonly base: Minor;
	};
	readonly customerId: number;
	readonly lines: readonly PlaceLine[];
}
