import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { addDays } from '../day/arithmetic';
import { day } from '../day/day';
import { promiseStates, type CameIn, type Promised } from './promise-states';

const FIRST = day('2026-10-01');
const on = (days: number) => addDays(FIRST, days);
const promised = (id: number, amount: number, made: number, by: number): Promised => ({
	...{ id, amount, madeOn: on(made), promisedFor: on(by) }
});
const came = (amount: number, days: number): CameIn => ({ amount, day: on(days) });
const shown = (promises: Promised[], payments: CameIn[], today: number) =>
	[...promiseStates(promises, payments, on(today)).values()].map((one) => [one.state, one.came]);

/** The same, penny by penny: each goes to the first promise that still wants one and was made by the day it came. */
function pennyByPenny(promises: readonly Promised[], payments: readonly CameIn[], today: string) {
	const pennies = payments.flatMap(({ amount, day }) => Array.from({ length: amount }, () => day)).sort();
	const got = new Map(promises.map(({ id }) => [id, [] as string[]]));
	for (const penny of pennies) {
		const wanting = promises.filter(
			({ id, amount, madeOn }) => got.get(id)!.length < amount && madeOn <= penny
		);
		const first = wanting.sort((a, b) =>
			a.promisedFor === b.promisedFor ? a.id - b.id : a.promisedFor < b.promisedFor ? -1 : 1
		)[0];
		if (first) got.get(first.id)!.push(penny);
	}
	return promises.map(({ id, amount, promisedFor }) => {
		const days = got.get(id)!;
		const full = days.length === amount;
		if (full) return [days.every((one) => one <= promisedFor) ? 'kept' : 'kept_late', days.length];
		if (today <= promisedFor) return ['open', days.length];
		return [days.length ? 'part_kept' : 'broken', days.length];
	});
}

describe('a promise to pay', () => {
	test.each<[string, Promised[], CameIn[], number, [string, number][]]>([
		['is open until its day is over', [promised(1, 100, 0, 5)], [], 5, [['open', 0]]],
		['is broken after it', [promised(1, 100, 0, 5)], [], 6, [['broken', 0]]],
		['is kept on its day', [promised(1, 100, 0, 5)], [came(100, 5)], 9, [['kept', 100]]],
		['is kept by parts', [promised(1, 100, 0, 5)], [came(60, 2), came(50, 3)], 4, [['kept', 100]]],
		['is kept late', [promised(1, 100, 0, 5)], [came(60, 2), came(40, 6)], 7, [['kept_late', 100]]],
		['is kept in part', [promised(1, 100, 0, 5)], [came(60, 2)], 7, [['part_kept', 60]]],
		['is not kept by what came before', [promised(1, 100, 3, 5)], [came(100, 2)], 7, [['broken', 0]]],
		[
			'money counts once, for what is due first',
			[promised(1, 100, 0, 9), promised(2, 100, 0, 5)],
			[came(150, 4)],
			7,
			[
				['open', 50],
				['kept', 100]
			]
		]
	])('%s', (_, promises, payments, today, stands) => {
		expect(shown(promises, payments, today)).toEqual(stands);
	});

	test('stands as it does counted penny by penny', () => {
		const days = fc.integer({ min: 0, max: 12 });
		const amounts = fc.integer({ min: 1, max: 30 });
		const promises = fc
			.array(fc.record({ amount: amounts, made: days, more: days }), { maxLength: 6 })
			.map((list) => list.map(({ amount, made, more }, i) => promised(i + 1, amount, made, made + more)));
		const payments = fc
			.array(fc.record({ amount: amounts, at: days }), { maxLength: 8 })
			.map((list) => list.map(({ amount, at }) => came(amount, at)));
		fc.assert(
			fc.property(promises, payments, days, (list, paid, today) => {
				expect(shown(list, paid, today)).toEqual(pennyByPenny(list, paid, on(today)));
			})
		);
	});
});
