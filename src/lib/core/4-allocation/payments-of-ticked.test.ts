import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { paymentsOfTicked, type TickedItem } from './payments-of-ticked';

const ticked = (
	id: number,
	customerId: number,
	open: number,
	amount = open,
	over: Partial<TickedItem['item']> = {}
): TickedItem => ({
	item: {
		...{
			id,
			number: `AK-${id}`,
			customerId,
			currency: 'GBP',
			kind: 'invoice',
			open: open as never,
			version: 1
		},
		...over
	} as TickedItem['item'],
	amount
});
const codes = (result: ReturnType<typeof paymentsOfTicked>) =>
	result.ok ? [] : result.problems.map((one) => one.code);

describe('items ticked as paid', () => {
	const some = [ticked(1, 1, 100), ticked(2, 2, 200, 150), ticked(3, 1, 50)];
	it('as one sum are one payment of each customer', () => {
		const payments = paymentsOfTicked(some, true);
		expect(
			payments.ok && payments.value.map((one) => [one.customerId, one.amount, one.lines.length])
		).toEqual([
			[1, 150, 2],
			[2, 150, 1]
		]);
	});
	it('by themselves are one payment of each item', () => {
		const payments = paymentsOfTicked(some, false);
		expect(payments.ok && payments.value.map((one) => [one.customerId, one.amount])).toEqual([
			[1, 100],
			[2, 150],
			[1, 50]
		]);
	});
	it('a credit note is taken off its customer’s payment', () => {
		const payments = paymentsOfTicked(
			[ticked(1, 1, 100), ticked(2, 1, 30, 30, { kind: 'credit_note' })],
			true
		);
		expect(payments.ok && payments.value[0]).toMatchObject({ amount: 70 });
	});
	it.each([
		['more than is open', [ticked(1, 1, 100, 101)], true, ['more-than-open']],
		['nothing', [ticked(1, 1, 100, 0)], true, ['more-than-open', 'credit-without-invoice']],
		[
			'two currencies in one sum',
			[ticked(1, 1, 1), ticked(2, 2, 1, 1, { currency: 'EUR' })],
			true,
			['other-currency']
		],
		[
			'a credit note by itself',
			[ticked(2, 1, 30, 30, { kind: 'credit_note' })],
			false,
			['credit-without-invoice']
		],
		[
			'a credit note of another customer',
			[ticked(1, 1, 100), ticked(2, 2, 30, 30, { kind: 'credit_note' })],
			true,
			['credit-without-invoice']
		]
	])('%s is refused', (_, items, asOneSum, found) =>
		expect(codes(paymentsOfTicked(items, asOneSum))).toEqual(found)
	);
	it('each way comes to the same, with each item in it once', () => {
		const item = fc.record({
			customer: fc.integer({ min: 1, max: 4 }),
			open: fc.integer({ min: 1, max: 9999 })
		});
		fc.assert(
			fc.property(fc.array(item, { minLength: 1, maxLength: 30 }), fc.boolean(), (items, asOneSum) => {
				const given = items.map((one, i) => ticked(i + 1, one.customer, one.open));
				const payments = paymentsOfTicked(given, asOneSum);
				if (!payments.ok) throw new Error('refused');
				const lines = payments.value.flatMap((one) => one.lines);
				expect(lines.map((line) => line.itemId).toSorted((a, b) => a - b)).toEqual(
					given.map((one) => one.item.id)
				);
				expect(payments.value.reduce((sum, one) => sum + one.amount, 0)).toBe(
					items.reduce((sum, one) => sum + one.open, 0)
				);
				for (const one of payments.value)
					expect(one.lines.every((line) => given[line.itemId - 1]!.item.customerId === one.customerId)).toBe(
						true
					);
			})
		);
	});
});
