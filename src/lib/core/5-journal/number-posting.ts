import type { NumberedPosting, Posting } from '../model/posting';

/** Gives the records of an allocation the numbers that they have in the books, each kind counted on from its first. */
export function numberPosting(
	posting: Posting,
	first: { readonly allocation: number; readonly difference: number; readonly receiptAdjustment: number }
): NumberedPosting {
	const from = <T>(rows: readonly T[], id: number) => rows.map((row, i) => ({ ...row, id: id + i }));
	return {
		...posting,
		allocations: from(posting.allocations, first.allocation),
		differences: from(posting.differences, first.difference),
		receiptAdjustments: from(posting.receiptAdjustments, first.receiptAdjustment)
	};
}
