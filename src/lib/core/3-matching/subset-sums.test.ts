import fc from 'fast-check';
import { expect, it } from 'vitest';
import { subsetSums } from './subset-sums';

/** The slow and plain way: every choice of one to three places. */
function oracle(amounts: number[], target: number): string[] {
	const found: string[] = [];
	const n = amounts.length;
	for (let mask = 1; mask < 1 << n; mask++) {
		const places = [...Array(n).keys()].filter((place) => mask & (1 << place));
		if (places.length <= 3 && places.reduce((sum, place) => sum + amounts[place]!, 0) === target)
			found.push(places.join());
	}
	return found.sort();
}

it('finds and counts just what trying every set finds, negative amounts and equal ones too', () =>
	fc.assert(
		fc.property(
			fc.array(fc.integer({ min: -6, max: 12 }), { maxLength: 10 }),
			fc.integer({ min: -8, max: 30 }),
			(amounts, target) => {
				const { sets, count } = subsetSums(amounts, target, 10_000);
				const want = oracle(amounts, target);
				expect(sets.map((set) => set.join()).sort()).toEqual(want);
				expect(count).toBe(want.length);
			}
		)
	));

it('counts all but lists only as many as asked, smallest sets first', () => {
	const { sets, count } = subsetSums([1, 1, 2, 2, 3], 3, 2);
	expect(count).toBe(5);
	expect(sets).toEqual([[4], [0, 2]]);
});
