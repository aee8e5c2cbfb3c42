import fc from 'fast-check';
import { describe, expect, it, test } from 'vitest';
import type { DifferenceKind } from '../model/records';
import { minor } from '../money/minor';

import { limitsOfPerson, NO_LIMITS_OF_ONE, overLimits, type LimitedKind } from './over-limits';
import type { AllocateLine, AllocateOrder } from './allocate-order';
import { allocate } from './allocate';
import { reversePosting } from './reverse-posting';

import { item, line, order, earlier, codes } from './testing-orders';

describe('what is refused', () => {
	const credit = item(5, 50, { kind: 'credit_note' });
	test.each<[string, AllocateOrder, string[]]>([
		['more than is open', order(1000, line(item(1, 300), 301)), ['over-item']],
		[
			'cash and differences beyond what is open',
			order(1000, line(item(1, 300), 290, ['bank_charge', 11])),
			['over-item']
		],
		['more than came', order(100, line(item(1, 300), 101)), ['over-receipt']],
		['the same item twice', order(100, line(item(1, 300), 10), line(item(1, 300), 10)), ['line-twice']],
		[
			'a negative amount on an invoice',
			order(100, line(item(1, 300), -10)),
			['line-not-positive', 'credit-unused']
		],
		['a positive amount on a credit note', order(100, line(credit, 10)), ['line-not-positive']],
		['nothing on a line', order(100, line(item(1, 300), 0)), ['line-not-positive']],
		[
			'a negative difference',
			order(100, line(item(1, 300), 100, ['bank_charge', -1])),
			['line-not-positive']
		],
		['another currency', order(100, line(item(1, 300, { currency: 'EUR' }), 100)), ['other-currency']],
		[
			'a small difference that is none',
			order(1000, line(item(1, 2000), 1000, ['small_difference', 501])),
			['over-tolerance']
		],
		[
			'more of earlier money than is left',
			{ ...order(100, line(item(1, 300), 300)), credits: [earlier(3, 150, 200)] },
			['over-credit']
		],
		[
			'earlier money that goes nowhere',
			{ ...order(100, line(item(1, 300), 50)), credits: [earlier(3, 150, 150)] },
			['earlier-credit-unused']
		],
		[
			'earlier money in another currency',
			{ ...order(100, line(item(1, 300), 300)), credits: [{ ...earlier(3, 200, 200), currency: 'EUR' }] },
			['other-currency']
		],
		[
			'a surplus beyond what is left',
			{
				...order(100),
				receipt: {
					...order(100).receipt!,
					surplus: [{ kind: 'refund', amount: minor(101) }]
				}
			},
			['over-receipt']
		],
		[
			'a claim on a claim',
			order(100, line(item(1, 300, { kind: 'claim' }), 50, ['claim', 250])),
			['claim-of-claim']
		],
		['nothing at all, without money', { ...order(0), receipt: null }, ['nothing-to-place']],
		['a credit note with nothing to use it on', order(100, line(credit, -50)), ['credit-unused']],
		['money that went out', order(-100), ['not-a-credit-entry']],
		[
			'several at once',
			order(100, line(item(1, 300), 301), line(item(2, 5, { currency: 'EUR' }), 5)),
			['over-item', 'other-currency', 'over-receipt']
		]
	])('%s', (_, o, want) => expect(codes(o)).toEqual(want));
});

describe('what is done', () => {
	it('settles several, leaves a part open and the rest on account', () => {
		const result = allocate(order(1000, line(item(1, 300), 300), line(item(2, 900), 650)));
		expect(result.ok && result.value.changes.map((change) => change.open)).toEqual([0, 250]);
		expect(result.ok && result.value.credits[0]!.onAccount).toBe(50);
	});
	it('uses a credit note before the money and keeps the thread of each', () => {
		const note = item(5, 50, { kind: 'credit_note' });
		const result = allocate(order(450, line(item(1, 300), 300), line(item(2, 200), 200), line(note, -50)));
		expect(
			result.ok &&
				result.value.allocations.map(({ source, itemId, amount }) => ({ ...source, to: itemId, amount }))
		).toEqual([
			{ itemId: 5, to: 1, amount: 50 },
			{ receiptId: 9, to: 1, amount: 250 },
			{ receiptId: 9, to: 2, amount: 200 }
		]);
		expect(result.ok && result.value.credits[0]!.onAccount).toBe(0);
	});
	it('realises the currency difference between the two days, no penny lost in parts', () => {
		const owed = item(1, 10000, { currency: 'EUR', openBase: minor(8501) });
		const eur = (amount: number, base: number, ...lines: AllocateLine[]): AllocateOrder => ({
			...order(amount, ...lines),
			currency: 'EUR',
			receipt: { ...order(amount).receipt!, base: minor(base) }
		});
		const first = allocate(eur(3333, 2900, line(owed, 3333)));
		if (!first.ok) throw new Error('refused');
		const then = { ...owed, open: first.value.changes[0]!.open, openBase: first.value.changes[0]!.openBase };
		const second = allocate(eur(6667, 5700, line(then, 6667)));
		if (!second.ok) throw new Error('refused');
		expect(second.value.changes[0]).toEqual({ itemId: 1, open: 0, openBase: 0 });
		expect(first.value.allocations[0]!.itemBase + second.value.allocations[0]!.itemBase).toBe(8501);
	});
});

describe('limits', () => {
	const limits = {
		tolerance: null,
		byRole: {
			clerk: { ...NO_LIMITS_OF_ONE, act: { bank_charge: 2000, bad_debt: 0 } },
			supervisor: { ...NO_LIMITS_OF_ONE, act: { bad_debt: 50_000 } }
		},
		byPerson: { u7: { ...NO_LIMITS_OF_ONE, act: { bank_charge: 5000 } } }
	};
	const clerk = { id: 'u1', role: 'clerk' } as const;
	test.each<[string, { id: string; role: 'clerk' | 'supervisor' }, [LimitedKind, number][], number[]]>([
		['at the limit', clerk, [['bank_charge', 2000]], []],
		['a penny above', clerk, [['bank_charge', 2001]], [2000]],
		[
			'several of a kind count together',
			clerk,
			[
				['bank_charge', 1500],
				['bank_charge', 600]
			],
			[2000]
		],
		['nothing may be written off', clerk, [['bad_debt', 1]], [0]],
		['a kind without a limit', clerk, [['claim', 999_999]], []],
		['an own limit goes before the role', { ...clerk, id: 'u7' }, [['bank_charge', 4000]], []],
		[
			'a supervisor',
			{ id: 'u2', role: 'supervisor' },
			[
				['bad_debt', 50_000],
				['bank_charge', 9999]
			],
			[]
		]
	])('%s', (_, who, booked, want) =>
		expect(
			overLimits(
				limitsOfPerson(limits, who),
				booked.map(([kind, base]) => ({ kind, base, customerId: 1 }))
			).map((over) => over.most)
		).toEqual(want)
	);
});

describe('properties', () => {
	const world = fc.record({
		opens: fc.array(fc.integer({ min: 1, max: 100_000 }), { minLength: 1, maxLength: 8 }),
		base: fc.integer({ min: 50, max: 150 }),
		parts: fc.array(fc.integer({ min: 1, max: 100 }), { minLength: 8, maxLength: 8 }),
		gap: fc.array(fc.integer({ min: 0, max: 30 }), { minLength: 8, maxLength: 8 }),
		spare: fc.integer({ min: 0, max: 5000 })
	});
	it('cash allocated and on account is what came; undoing gives every item back as it was', () =>
		fc.assert(
			fc.property(world, ({ opens, base, parts, gap, spare }) => {
				const items = opens.map((open, i) =>
					item(i + 1, open, { openBase: minor(Math.round((open * base) / 100)) })
				);
				const lines = items.map((it, i) => {
					const cash = Math.max(1, Math.floor((it.open * parts[i]!) / 100));
					const difference = Math.min(gap[i]!, it.open - cash);
					return line(
						it,
						cash,
						...(difference > 0 ? ([['small_difference', difference]] as [DifferenceKind, number][]) : [])
					);
				});
				const amount = lines.reduce((sum, l) => sum + l.cash, 0) + spare;
				const result = allocate(order(amount, ...lines));
				if (!result.ok) throw new Error(JSON.stringify(result.problems));
				const placed = result.value.allocations.reduce((sum, a) => sum + a.amount, 0);
				const [money] = result.value.credits;
				expect(placed + money!.onAccount).toBe(amount);
				const creditBase = result.value.allocations.reduce((sum, a) => sum + a.creditBase, 0);
				expect(creditBase + money!.onAccountBase).toBe(amount);
				for (const change of result.value.changes) {
					expect(change.open).toBeGreaterThanOrEqual(0);
					if (change.open === 0) expect(change.openBase).toBe(0);
				}
				const back = reversePosting(result.value, {
					items: result.value.changes,
					credits: result.value.credits
				});
				expect(back.credits).toEqual([{ receiptId: 9, onAccount: amount, onAccountBase: amount }]);
				expect(back.changes).toEqual(
					items.map((it) => ({ itemId: it.id, open: it.open, openBase: it.openBase }))
				);
			})
		));
});
