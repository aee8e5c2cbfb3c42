import type { Allocation, ReceiptAdjustment, CreditState, Difference, Posting } from '../model/posting';
import { minor } from '../money/minor';

type Back = Pick<Posting, 'changes' | 'credits'>;

/**
 * Takes back all that an allocation did, to the penny and in base currency too: each item (credit notes that joined in, as
 * well) and each receipt drawn on gets back exactly what was taken from it, whatever happened to the rest of it since.
 */
export function reversePosting(
	posting: {
		readonly allocations: readonly Pick<
			Allocation,
			'source' | 'itemId' | 'amount' | 'creditAmount' | 'itemBase' | 'creditBase'
		>[];
		readonly differences: readonly Pick<Difference, 'itemId' | 'amount' | 'base'>[];
		readonly receiptAdjustments: readonly Pick<ReceiptAdjustment, 'receiptId' | 'amount' | 'base'>[];
	},
	now: { readonly items: Posting['changes']; readonly credits: readonly CreditState[] }
): Back {
	const items = new Map(
		now.items.map((state) => [state.itemId, { open: state.open as number, base: state.openBase as number }])
	);
	const credits = new Map(
		now.credits.map((one) => [
			one.receiptId,
			{ open: one.onAccount as number, base: one.onAccountBase as number }
		])
	);
	const give = (
		to: Map<number, { open: number; base: number }>,
		id: number,
		amount: number,
		base: number
	) => {
		const state = to.get(id);
		if (!state) throw new RangeError(`${id} was drawn on but is not among those to be given back`);
		state.open += amount;
		state.base += base;
	};
	for (const { source, itemId, amount, creditAmount, itemBase, creditBase } of posting.allocations) {
		give(items, itemId, amount, itemBase);
		if ('itemId' in source) give(items, source.itemId, creditAmount, creditBase);
		else give(credits, source.receiptId, creditAmount, creditBase);
	}
	for (const { itemId, amount, base } of posting.differences) give(items, itemId, amount, base);
	for (const { receiptId, amount, base } of posting.receiptAdjustments)
		give(credits, receiptId, -amount, -base);
	return {
		changes: [...items].map(([itemId, { open, base }]) => ({
			itemId,
			open: minor(open),
			openBase: minor(base)
		})),
		credits: [...credits].map(([receiptId, { open, base }]) => ({
			receiptId,
			onAccount: minor(open),
			onAccountBase: minor(base)
		}))
	};
}
