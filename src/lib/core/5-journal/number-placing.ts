import type { NumberedPlacing, Placing } from '../model/placing';

/** Gives the records of a placing the numbers that they have in the books, each kind counted on from its first. */
export function numberPlacing(
	placing: Placing,
	first: { readonly allocation: number; readonly difference: number; readonly receiptAdjustment: number }
): NumberedPlacing {
	const from = <T>(rows: readonly T[], id: number) => rows.map((row, i) => ({ ...row, id: id + i }));
	return {
		...placing,
		allocations: from(placing.allocations, first.allocation),
		differences: from(placing.differences, first.difference),
		receiptAdjustments: from(placing.receiptAdjustments, first.receiptAdjustment)
	};
}
