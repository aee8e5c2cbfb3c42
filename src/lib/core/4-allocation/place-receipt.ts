import type { Allocation, Difference, Placing } from '../model/placing';
import { minor, ZERO, type Minor } from '../money/minor';
import { share } from '../money/share';
import type { Problem } from '../problems';
import { bad, good, type Result } from '../result';
import { checkLines } from './check-lines';
import type { PlaceOrder } from './place-order';

/** Value that can be laid on items, with what is left of it while allocating. */
interface Pot {
	readonly source: Allocation['source'];
	left: number;
	base: number;
}

/**
 * Places one receipt of one customer: credit notes pay first, then the money, in the order of the lines; what is left stays
 * on account. Nothing is taken beyond what is open or what came: every breach is a problem, all of them at once, and no
 * part of the order is done.
 */
export function placeReceipt(order: PlaceOrder): Result<Placing> {
	const problems: Problem[] = checkLines(order);
	if (problems.length > 0) return bad(...problems);

	const remaining = new Map(
		order.lines.map(({ item }) => [item.id, { open: item.open as number, base: item.openBase as number }])
	);
	const takeFromItem = (itemId: number, amount: number): Minor => {
		const state = remaining.get(itemId)!;
		const base = amount === state.open ? minor(state.base) : share(state.base, amount, state.open);
		state.open -= amount;
		state.base -= base;
		return base;
	};
	const pots: Pot[] = order.lines
		.filter((line) => line.cash < 0)
		.map((line) => ({
			source: { itemId: line.item.id },
			left: -line.cash,
			base: takeFromItem(line.item.id, -line.cash)
		}));
	pots.push({
		source: { receiptId: order.receipt.id },
		left: order.receipt.amount,
		base: order.receipt.base
	});

	const allocations: Allocation[] = [];
	const differences: Difference[] = [];
	for (const line of order.lines) {
		let wanted = Math.max(line.cash, 0);
		for (const pot of pots) {
			const amount = Math.min(wanted, pot.left);
			if (amount === 0) continue;
			const creditBase = amount === pot.left ? minor(pot.base) : share(pot.base, amount, pot.left);
			pot.left -= amount;
			pot.base -= creditBase;
			wanted -= amount;
			const itemBase = takeFromItem(line.item.id, amount);
			allocations.push({
				source: pot.source,
				itemId: line.item.id,
				amount: minor(amount),
				itemBase,
				creditBase
			});
		}
		for (const { kind, amount } of line.differences)
			differences.push({ itemId: line.item.id, kind, amount, base: takeFromItem(line.item.id, amount) });
	}
	const money = pots.at(-1)!;
	return good({
		allocations,
		differences,
		onAccount: money.left === 0 ? ZERO : minor(money.left),
		onAccountBase: minor(money.base),
		changes: [...remaining].map(([itemId, { open, base }]) => ({
			itemId,
			open: minor(open),
			openBase: minor(base)
		}))
	});
}
