import fc from 'fast-check';
import { expect, test } from 'vitest';
import { addDays } from '../../day/arithmetic';
import { day } from '../../day/day';
import { minor } from '../../money/minor';
import { THANKS_LAPSE, toThank, type SettledItem } from './to-thank';

const today = day('2026-10-30');
const step = { days: 3, least: minor(0), wording: 'thanks' };
const item = (ago: number, over: Partial<SettledItem> = {}): SettledItem => ({
	...{
		id: 1,
		settledOn: addDays(today, -ago),
		total: 1000,
		base: 1000,
		isPaid: true,
		isThanked: false,
		...over
	}
});
const ids = (items: readonly SettledItem[], over: { isLate?: boolean; least?: number } = {}) =>
	toThank({ ...step, least: minor(over.least ?? 0) }, items, { today, isLate: over.isLate ?? false }).map(
		(one) => one.id
	);

test.each([
	['too soon', item(2), {}, []],
	['on its day', item(3), {}, [1]],
	['as long as it is not out of place', item(3 + THANKS_LAPSE), {}, [1]],
	['not when it is', item(4 + THANKS_LAPSE), {}, []],
	['not twice', item(5, { isThanked: true }), {}, []],
	['not for a credit note', item(5, { isPaid: false }), {}, []],
	['not while something is late', item(5), { isLate: true }, []],
	['not for less than it is worth', item(5), { least: 1001 }, []],
	['for just that', item(5), { least: 1000 }, [1]]
] as const)('%s', (_, one, over, expected) => {
	expect(ids([one], over)).toEqual(expected);
});

test('nobody is thanked twice for the same, day by day, whatever was paid when', () => {
	fc.assert(
		fc.property(
			fc.array(fc.integer({ min: 0, max: 60 }), { maxLength: 8 }),
			fc.integer({ min: 0, max: 10 }),
			(agos, days) => {
				const times = new Map<number, number>();
				let items = agos.map((ago, id) => item(ago, { id }));
				for (let on = -60; on <= 40; on++) {
					const thanked = toThank({ ...step, days }, items, { today: addDays(today, on), isLate: false });
					for (const { id } of thanked) times.set(id, (times.get(id) ?? 0) + 1);
					const now = new Set(thanked.map((one) => one.id));
					items = items.map((one) => (now.has(one.id) ? { ...one, isThanked: true } : one));
				}
				expect([...times.values()].every((n) => n === 1)).toBe(true);
				expect(times.size).toBe(agos.length);
			}
		),
		{ numRuns: 50 }
	);
});
