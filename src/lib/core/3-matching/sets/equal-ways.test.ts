import fc from 'fast-check';
import { expect, it } from 'vitest';
import { sampleItem } from '../../model/sample-item';
import { equalWays, MOST_WAYS } from './equal-ways';

const items = (...opens: number[]) => opens.map((open, i) => sampleItem(i + 1, open));
/** Every set of as many places that has the same amounts: looked at one by one. */
function plainly(opens: readonly number[], places: readonly number[]): number {
	const key = (some: readonly number[]) =>
		some
			.map((place) => opens[place])
			.sort((a, b) => a! - b!)
			.join();
	let ways = 0;
	for (let bits = 0; bits < 2 ** opens.length; bits++) {
		const some = opens.map((_, i) => i).filter((i) => bits & (1 << i));
		if (some.length === places.length && key(some) === key(places)) ways++;
	}
	return ways;
}

it('counts just the sets that have the same amounts', () => {
	const amounts = fc.array(fc.integer({ min: 1, max: 4 }), { minLength: 1, maxLength: 9 });
	fc.assert(
		fc.property(amounts, fc.nat(), (opens, bits) => {
			const places = opens.map((_, i) => i).filter((i) => (bits >> i) & 1);
			const { ways, others, left } = equalWays(items(...opens), places, 50);
			expect(ways).toBe(plainly(opens, places));
			expect(left > 0).toBe(ways > 1);
			for (const other of others) {
				expect(other).not.toEqual(places);
				expect(other.map((place) => opens[place]).sort()).toEqual(places.map((place) => opens[place]).sort());
			}
		})
	);
});

it('the next of the same amount comes first, and no more than are kept', () => {
	const found = equalWays(items(5, 5, 7, 5, 5), [0, 1, 2], 3);
	expect([found.ways, found.left, found.others]).toEqual([
		...[6, 2],
		[
			[0, 2, 3],
			[0, 2, 4],
			[1, 2, 3]
		]
	]);
});

it('thousands of equal items count to a bound', () => {
	const found = equalWays(items(...Array.from({ length: 5_000 }, () => 48)), [0, 1, 2, 3], 2);
	expect([found.ways, found.others.length]).toEqual([MOST_WAYS, 2]);
});
