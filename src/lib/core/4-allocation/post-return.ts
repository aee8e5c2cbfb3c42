import type { Day } from '../day/day';
import type { Allocation, ReceiptAdjustment, CreditState, Difference, Posting } from '../model/posting';
import { minor, ZERO, type Minor } from '../money/minor';
import { proportion } from '../money/proportion';
import type { Problem } from '../problems';
import { err, ok, type Result } from '../result';

/** An allocation that stands, with the due day of its item. */
export interface StandingAllocation extends Allocation {
	readonly id: number;
	readonly due: Day;
}

/** A difference that was booked with the payment and stands. */
export interface StandingDifference extends Difference {
	readonly id: number;
}

/** A payment that comes back: how much of it, and what it settles now. Amounts in minor units of its currency. */
export interface PaymentBack {
	readonly receiptId: number;
	readonly customerId: number;
	readonly currency: string;
	/** How much comes back. */
	readonly amount: Minor;
	/** What of it lies on account, and the value of that in base currency. */
	readonly onAccount: Minor;
	readonly onAccountBase: Minor;
	readonly allocations: readonly StandingAllocation[];
	readonly differences: readonly StandingDifference[];
	/** Differences that go back with it, where something of their items is taken off: their gaps are owed again. */
	readonly differencesBack: readonly number[];
	/** Allocations that are taken off before others, where only a part comes back. */
	readonly first: readonly number[];
	/** The items touched, as they are now. */
	readonly items: Posting['changes'];
}

export interface PostedReturn {
	/** Allocations taken off. */
	readonly takenOff: readonly number[];
	/** What stays of the last one, where it was taken off in part: allocated anew. */
	readonly again: readonly Allocation[];
	readonly differencesBack: readonly number[];
	/** What all of it comes to: rows that are taken off are negative. For the journal and the states. */
	readonly posting: Posting;
}

/**
 * Works out what a returned payment does: what lies on account goes first, then the allocations are taken off, those asked for
 * first, then the latest due, until what came back is covered; the items are open again as they were. The rest of an
 * allocation that is larger than needed is allocated anew. Values in base currency are those at which the money was allocated.
 */
export function postReturn(order: PaymentBack): Result<PostedReturn> {
	const { amount, allocations } = order;
	const standing = allocations.reduce((sum, one) => sum + one.creditAmount, 0);
	const most = minor(order.onAccount + standing);
	const problem: Problem = {
		code: 'over-return',
		asked: amount,
		most,
		currency: order.currency
	};
	if (amount <= 0 || amount > most) return err(problem);
	const items = new Map(order.items.map((one) => [one.itemId, { open: one.open, base: one.openBase }]));
	const give = (itemId: number, value: number, base: number) => {
		const state = items.get(itemId);
		if (!state) throw new RangeError(`item ${itemId} was settled but is not among those to be opened`);
		items.set(itemId, { open: minor(state.open + value), base: minor(state.base + base) });
	};
	let credit: CreditState = order;
	const takenOff: StandingAllocation[] = [];
	const again: Allocation[] = [];
	for (const one of [...allocations].sort(inTurn(order.first))) {
		if (credit.onAccount >= amount) break;
		takenOff.push(one);
		give(one.itemId, one.amount, one.itemBase);
		credit = {
			receiptId: order.receiptId,
			onAccount: minor(credit.onAccount + one.creditAmount),
			onAccountBase: minor(credit.onAccountBase + one.creditBase)
		};
		const over = credit.onAccount - amount;
		if (over <= 0) continue;
		const stays = partOf(one, minor(over));
		again.push(stays);
		give(one.itemId, -stays.amount, -stays.itemBase);
		credit = {
			receiptId: order.receiptId,
			onAccount: amount,
			onAccountBase: minor(credit.onAccountBase - stays.creditBase)
		};
	}
	// What stays settled keeps the names that its gaps were given.
	const opened = new Set(takenOff.map((one) => one.itemId));
	const back = order.differences.filter(
		(one) => order.differencesBack.includes(one.id) && opened.has(one.itemId)
	);
	for (const one of back) give(one.itemId, one.amount, one.base);
	const base =
		credit.onAccount === amount
			? credit.onAccountBase
			: proportion(credit.onAccountBase, amount, credit.onAccount);
	const change: ReceiptAdjustment = {
		receiptId: order.receiptId,
		customerId: order.customerId,
		currency: order.currency,
		kind: 'returned',
		amount: minor(-amount),
		base: minor(-base)
	};
	return ok({
		takenOff: takenOff.map((one) => one.id),
		again,
		differencesBack: back.map((one) => one.id),
		posting: {
			allocations: [...takenOff.map(negated), ...again],
			differences: back.map((one) => ({ ...one, amount: minor(-one.amount), base: minor(-one.base) })),
			receiptAdjustments: [change],
			credits: [
				{
					receiptId: order.receiptId,
					onAccount: minor(credit.onAccount - amount),
					onAccountBase: minor(credit.onAccountBase - base)
				}
			],
			changes: [...items].map(([itemId, { open, base: openBase }]) => ({ itemId, open, openBase }))
		}
	});
}

/** Those asked for in their order, then the latest due, then the latest allocated. */
function inTurn(first: readonly number[]) {
	const rank = (one: StandingAllocation) => {
		const at = first.indexOf(one.id);
		return at < 0 ? first.length : at;
	};
	return (a: StandingAllocation, b: StandingAllocation) =>
		rank(a) - rank(b) || (a.due > b.due ? -1 : a.due < b.due ? 1 : b.id - a.id);
}

/** So much of an allocation, by its credit amount; the values follow in proportion. */
function partOf(one: Allocation, creditAmount: Minor): Allocation {
	const { source, creditCustomerId, creditCurrency, itemId, itemCustomerId, itemCurrency } = one;
	const amount =
		creditCurrency === itemCurrency ? creditAmount : proportion(one.amount, creditAmount, one.creditAmount);
	return {
		...{ source, creditCustomerId, creditCurrency, itemId, itemCustomerId, itemCurrency },
		amount,
		creditAmount,
		itemBase: one.amount === 0 ? ZERO : proportion(one.itemBase, amount, one.amount),
		creditBase: proportion(one.creditBase, creditAmount, one.creditAmount)
	};
}

/** The allocation taken off. */
export function negated(one: Allocation): Allocation {
	const { source, creditCustomerId, creditCurrency, itemId, itemCustomerId, itemCurrency } = one;
	return {
		...{ source, creditCustomerId, creditCurrency, itemId, itemCustomerId, itemCurrency },
		amount: minor(-one.amount),
		creditAmount: minor(-one.creditAmount),
		itemBase: minor(-one.itemBase),
		creditBase: minor(-one.creditBase)
	};
}
