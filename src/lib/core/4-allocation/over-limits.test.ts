import fc from 'fast-check';
import { describe, expect, it, test } from 'vitest';
import { limitChanges } from './limit-changes';
import {
	LIMIT_SCOPES,
	LIMITED_KINDS,
	NO_LIMITS,
	NO_LIMITS_OF_ONE,
	overLimits,
	sumsByKind,
	type BookedBefore,
	type LimitedKind,
	type LimitsOfOne,
	type Reduction
} from './over-limits';
import { usualLimits } from './usual-limits';

const booked = (...rows: [LimitedKind, number, number | null][]): Reduction[] =>
	rows.map(([kind, base, customerId]) => ({ kind, base, customerId }));
const limits = (over: Partial<LimitsOfOne>): LimitsOfOne => ({ ...NO_LIMITS_OF_ONE, ...over });
const before = (over: Partial<BookedBefore>): BookedBefore => ({ customer: new Map(), day: {}, ...over });

test.each<[string, LimitsOfOne, Reduction[], BookedBefore, string[]]>([
	[
		'the tenth of ten small credit notes for one customer',
		limits({ customer: { all: 1000 } }),
		booked(['credit_price', 100, 7]),
		before({ customer: new Map([[7, { credit_price: 950, all: 950 }]]) }),
		['customer all 1050']
	],
	[
		'the same for another customer',
		limits({ customer: { all: 1000 } }),
		booked(['credit_price', 100, 8]),
		before({ customer: new Map([[7, { all: 950 }]]) }),
		[]
	],
	[
		'small ones for many customers on one day',
		limits({ day: { all: 1000 } }),
		booked(['bad_debt', 60, 1], ['credit_goods', 60, 2]),
		before({ day: { all: 900 } }),
		['day all 1020']
	],
	[
		'what another kind used up stops a kind that has no limit of its own only in all',
		limits({ day: { bad_debt: 10, all: 5000 } }),
		booked(['refund', 500, 1]),
		before({ day: { bad_debt: 400, all: 400 } }),
		[]
	],
	[
		'claims and settlement discounts do not count among all',
		limits({ act: { all: 10 }, day: { settlement_discount: 100 } }),
		booked(['claim', 900, 1], ['settlement_discount', 101, 1]),
		before({}),
		['day settlement_discount 101']
	],
	[
		'set aside is nobody’s',
		limits({ customer: { all: 0 }, act: { set_aside: 5 } }),
		booked(['set_aside', 6, null]),
		before({}),
		['act set_aside 6']
	],
	[
		'what comes back counts as what it is',
		limits({ act: { currency: 5 } }),
		booked(['currency', -6, 1]),
		before({}),
		['act currency 6']
	],
	[
		'nought is never alone',
		limits({ act: { bad_debt: 0 } }),
		booked(['bad_debt', 1, 1]),
		before({}),
		['act bad_debt 1']
	],
	[
		'nothing booked is beyond nothing',
		limits({ act: { bad_debt: 0 } }),
		booked(['bad_debt', 0, 1]),
		before({}),
		[]
	]
])('%s', (_, own, rows, earlier, want) =>
	expect(
		overLimits(own, rows, earlier).map(({ scope, kind, amount }) => `${scope} ${kind} ${amount}`)
	).toEqual(want)
);

describe('properties', () => {
	const row = fc.record({
		kind: fc.constantFrom(...LIMITED_KINDS),
		base: fc.integer({ min: 0, max: 1000 }),
		customerId: fc.option(fc.integer({ min: 1, max: 3 }))
	});
	const rows = fc.array(row, { maxLength: 12 });
	const sums = fc.dictionary(fc.constantFrom(...LIMITED_KINDS, 'all'), fc.integer({ min: 0, max: 1500 }));
	const anyLimits = fc.record({ act: sums, customer: sums, day: sums });
	const befores = (all: readonly Reduction[]): BookedBefore => ({
		day: sumsByKind(all),
		customer: new Map([1, 2, 3].map((id) => [id, sumsByKind(all.filter((one) => one.customerId === id))]))
	});

	it('says what a plain count of every scope and kind says', () => {
		fc.assert(
			fc.property(anyLimits, rows, rows, (own, now, earlier) => {
				const plain: string[] = [];
				const count = (list: readonly Reduction[], kind: string) =>
					list
						.filter((one) =>
							kind === 'all' ? one.kind !== 'claim' && one.kind !== 'settlement_discount' : one.kind === kind
						)
						.reduce((sum, one) => sum + one.base, 0);
				const check = (
					scope: 'act' | 'customer' | 'day',
					mine: readonly Reduction[],
					old: readonly Reduction[]
				) => {
					for (const kind of [...LIMITED_KINDS, 'all'] as const) {
						const most = own[scope][kind];
						const [fresh, sum] = [count(mine, kind), count([...old, ...mine], kind)];
						if (most !== undefined && fresh > 0 && sum > most) plain.push(`${scope} ${kind} ${sum} ${most}`);
					}
				};
				check('act', now, []);
				for (const id of [1, 2, 3])
					check(
						'customer',
						now.filter((one) => one.customerId === id),
						earlier.filter((one) => one.customerId === id)
					);
				check('day', now, earlier);
				const found = overLimits(own, now, befores(earlier)).map(
					({ scope, kind, amount, most }) => `${scope} ${kind} ${amount} ${most}`
				);
				expect(found.sort()).toEqual(plain.sort());
			})
		);
	});

	it('splitting an act into many on one day passes no limit of the day that the whole would not', () => {
		fc.assert(
			fc.property(anyLimits, rows, (own, all) => {
				const daily = { ...own, act: {} };
				const wholePasses = overLimits(daily, all).length === 0;
				const eachPasses = all.every(
					(one, i) => overLimits(daily, [one], befores(all.slice(0, i))).length === 0
				);
				expect(eachPasses).toBe(wholePasses);
			})
		);
	});
});

test('what changes between limits is told one by one', () => {
	const after = usualLimits('GBP');
	expect(limitChanges(after, after, new Map())).toEqual([]);
	const changes = limitChanges(
		NO_LIMITS,
		{ ...after, byPerson: { u1: limits({ day: { all: 5 } }) } },
		new Map([['u1', 'Wren']])
	);
	expect(changes).toContainEqual({ whose: 'clerk', scope: 'act', kind: 'bad_debt', before: null, after: 0 });
	expect(changes).toContainEqual({ whose: 'Wren', scope: 'day', kind: 'all', before: null, after: 5 });
	const back = limitChanges(after, NO_LIMITS, new Map());
	expect(back).toContainEqual({
		whose: null,
		scope: 'item',
		kind: 'small_difference',
		before: 500,
		after: null
	});
	// Every limit of the usual ones is told, and nothing twice.
	const told = LIMIT_SCOPES.reduce((sum, scope) => sum + Object.keys(after.byRole.clerk[scope]).length, 1);
	expect(back).toHaveLength(told);
});
