import type { Sum } from './act-facts';
import type { FeeKind, SurplusKind } from './posting';
import type { DifferenceKind } from './records';

/** What is won or lost because a currency is worth something else than when the item was issued. */
export interface ExchangeDifference {
	/** In base currency, minor units; below nought for a loss. */
	readonly amount: number;
	readonly baseCurrency: string;
	/** The rates by which the money was turned. */
	readonly rates: readonly {
		readonly currency: string;
		readonly millionths: number;
		readonly day: string | null;
		readonly source: string;
	}[];
}

/** What posting does to the books, as facts. */
export interface PostingFacts {
	readonly currency: string;
	/** Items that are settled whole. */
	readonly settles: readonly string[];
	/** Items of which something stays open. */
	readonly leaves: readonly (Sum & { readonly label: string })[];
	/** Credit notes that are used. */
	readonly uses: readonly string[];
	/** Of earlier money, in the money's currency. */
	readonly earlier: number;
	readonly gaps: readonly (Sum & { readonly kind: DifferenceKind })[];
	readonly fees: readonly { readonly kind: FeeKind; readonly amount: number }[];
	/** What of the money is on no item. */
	readonly left: number;
	readonly surplus: SurplusKind | null;
	readonly depositFor: string;
	readonly exchange: ExchangeDifference | null;
}
