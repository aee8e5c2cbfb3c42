import type { DifferenceKind, OpenItem } from '../model/records';
import { minor } from '../money/minor';

import type { CreditUse, AllocateLine, AllocateOrder } from './allocate-order';
import { allocate } from './allocate';

import { sampleItem } from '../model/sample-item';

export const item = sampleItem;
export const line = (
	it: OpenItem,
	cash: number,
	...differences: [DifferenceKind, number][]
): AllocateLine => ({
	item: it,
	cash: minor(cash),
	differences: differences.map(([kind, amount]) => ({ kind, amount: minor(amount) }))
});
export const order = (amount: number, ...lines: AllocateLine[]): AllocateOrder => ({
	receipt: { id: 9, customerId: 1, amount: minor(amount), base: minor(amount), fees: [], surplus: [] },
	currency: 'GBP',
	credits: [],
	tolerance: minor(500),
	lines
});
export const earlier = (receiptId: number, onAccount: number, use: number): CreditUse => ({
	receiptId,
	customerId: 1,
	currency: 'GBP',
	onAccount: minor(onAccount),
	onAccountBase: minor(onAccount),
	use: minor(use)
});
export const codes = (o: AllocateOrder) => {
	const result = allocate(o);
	return result.ok ? [] : result.problems.map((problem) => problem.code);
};
