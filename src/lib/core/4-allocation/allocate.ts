import type { Allocation, ReceiptAdjustment, CreditState, Difference, Posting } from '../model/posting';
import { minor, type Minor } from '../money/minor';
import { proportion } from '../money/proportion';
import type { Problem } from '../problems';
import { err, ok, type Result } from '../result';
import { checkOrder } from './check-order';
import type { AllocateLine, AllocateOrder } from './allocate-order';

/** Value that can be laid on items, with what is left of it while allocating. */
interface Pot {
	readonly source: Allocation['source'];
	readonly customerId: number;
	left: number;
	base: number;
}

/**
 * Places money and credits on open items: credit notes pay first, then earlier money on account, then the new money, in the
 * order of the lines; what is left of the new money stays on account. Money may settle items of other accounts (of a group,
 * or several customers on one payment) and in another currency. Nothing is taken beyond what is open or what came: every
 * breach is a problem, all of them at once, and no part of the order is done.
 */
export function allocate(order: AllocateOrder): Result<Posting> {
	const problems: Problem[] = checkOrder(order);
	if (problems.length > 0) return err(...problems);
	const items = new Takings(order.lines);
	const pots = potsOf(order, items);
	const allocations: Allocation[] = [];
	const differences: Difference[] = [];
	for (const line of order.lines) {
		for (const part of draw(line, pots)) {
			const itemBase = items.take(line.item.id, part.amount);
			allocations.push({
				source: part.pot.source,
				creditCustomerId: part.pot.customerId,
				creditCurrency: order.currency,
				itemId: line.item.id,
				itemCustomerId: line.item.customerId,
				itemCurrency: line.item.currency,
				amount: part.amount,
				creditAmount: part.creditAmount,
				itemBase,
				creditBase: part.creditBase
			});
		}
		for (const { kind, amount } of line.differences)
			differences.push({
				itemId: line.item.id,
				customerId: line.item.customerId,
				currency: line.item.currency,
				kind,
				amount,
				base: items.take(line.item.id, amount)
			});
	}
	const receiptAdjustments = changesOf(order, pots);
	return ok({
		allocations,
		differences,
		receiptAdjustments,
		credits: creditsAfter(order, pots),
		changes: items.after()
	});
}

/** The items with what is still open of them; takes parts with their share of the base value, no penny lost. */
class Takings {
	readonly #states: Map<number, { open: number; base: number }>;
	constructor(lines: readonly AllocateLine[]) {
		this.#states = new Map(lines.map(({ item }) => [item.id, { open: item.open, base: item.openBase }]));
	}
	take(itemId: number, amount: number): Minor {
		const state = this.#states.get(itemId)!;
		const base = amount === state.open ? minor(state.base) : proportion(state.base, amount, state.open);
		state.open -= amount;
		state.base -= base;
		return base;
	}
	after(): Posting['changes'] {
		return [...this.#states].map(([itemId, { open, base }]) => ({
			itemId,
			open: minor(open),
			openBase: minor(base)
		}));
	}
}

function potsOf({ lines, credits, receipt }: AllocateOrder, items: Takings): Pot[] {
	const pots: Pot[] = lines
		.filter((line) => line.cash < 0)
		.map((line) => ({
			source: { itemId: line.item.id },
			customerId: line.item.customerId,
			left: -line.cash,
			base: items.take(line.item.id, -line.cash)
		}));
	for (const { receiptId, customerId, use, onAccount, onAccountBase } of credits)
		pots.push({
			source: { receiptId },
			customerId,
			left: use,
			base: use === onAccount ? onAccountBase : proportion(onAccountBase, use, onAccount)
		});
	if (receipt)
		pots.push({
			source: { receiptId: receipt.id },
			customerId: receipt.customerId,
			left: receipt.fees.reduce((sum, fee) => sum + fee.amount, receipt.amount as number),
			base: receipt.fees.reduce((sum, fee) => sum + fee.base, receipt.base as number)
		});
	return pots;
}

/** Draws a line's cash from the pots in their order, and what each part settles of the item in its own currency. */
function* draw(line: AllocateLine, pots: readonly Pot[]) {
	let wanted = Math.max(line.cash, 0);
	let settles: number = Math.max(line.settles ?? line.cash, 0);
	for (const pot of pots) {
		const creditAmount = Math.min(wanted, pot.left);
		if (creditAmount === 0) continue;
		const creditBase = takeBase(pot, creditAmount);
		const amount = creditAmount === wanted ? minor(settles) : proportion(settles, creditAmount, wanted);
		wanted -= creditAmount;
		settles -= amount;
		yield { pot, amount, creditAmount: minor(creditAmount), creditBase };
	}
}

function takeBase(pot: Pot, amount: number): Minor {
	const base = amount === pot.left ? minor(pot.base) : proportion(pot.base, amount, pot.left);
	pot.left -= amount;
	pot.base -= base;
	return base;
}

function changesOf({ receipt, currency }: AllocateOrder, pots: readonly Pot[]): ReceiptAdjustment[] {
	if (!receipt) return [];
	const money = pots.at(-1)!;
	const common = { receiptId: receipt.id, customerId: receipt.customerId, currency };
	return [
		...receipt.fees.map((fee) => ({ ...common, ...fee })),
		...receipt.surplus.map(({ kind, amount }) => ({
			...common,
			kind,
			amount: minor(-amount),
			base: minor(-takeBase(money, amount))
		}))
	];
}

function creditsAfter({ credits, receipt }: AllocateOrder, pots: readonly Pot[]): CreditState[] {
	const after: CreditState[] = [];
	for (const { receiptId, use, onAccount, onAccountBase } of credits) {
		const used = use === onAccount ? onAccountBase : proportion(onAccountBase, use, onAccount);
		after.push({
			receiptId,
			onAccount: minor(onAccount - use),
			onAccountBase: minor(onAccountBase - used)
		});
	}
	if (receipt) {
		const money = pots.at(-1)!;
		after.push({
			receiptId: receipt.id,
			onAccount: minor(money.left),
			onAccountBase: minor(money.base)
		});
	}
	return after;
}
