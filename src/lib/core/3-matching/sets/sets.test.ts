import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { amountGroups } from './amount-groups';
import { findSets } from './find-sets';
import { largeSets } from './large-sets';
import { halvesOf, meetInTheMiddle } from './meet-in-the-middle';
import { smallSets } from './small-sets';
import { sumsTable, sumsTableShape } from './sums-table';

/** Every set, one by one: the slow and plain way. Of equal amounts only the earliest are taken. */
function plainSets(amounts: readonly number[], target: number, largest = amounts.length): string[] {
	const found: string[] = [];
	const go = (at: number, sum: number, chosen: readonly number[]) => {
		if (at === amounts.length) {
			const fair = chosen.every((place) =>
				amounts.every(
					(amount, earlier) => earlier >= place || amount !== amounts[place] || chosen.includes(earlier)
				)
			);
			if (sum === target && fair && chosen.length > 0 && chosen.length <= largest) found.push(chosen.join());
			return;
		}
		go(at + 1, sum, chosen);
		if (amounts[at] !== 0) go(at + 1, sum + amounts[at]!, [...chosen, at]);
	};
	go(0, 0, []);
	return found.sort();
}

const amounts = fc.array(fc.integer({ min: -20, max: 30 }), { maxLength: 11 });
const target = fc.integer({ min: -10, max: 90 });
const texts = (sets: readonly (readonly number[])[]) => sets.map((set) => set.join()).sort();

describe('each way of finding sets agrees with trying every one', () => {
	it('meeting in the middle', () => {
		fc.assert(
			fc.property(amounts, target, (list, sum) => {
				const found = meetInTheMiddle(halvesOf(amountGroups(list))!, sum, 5_000);
				expect(texts(found.sets)).toEqual(plainSets(list, sum));
				expect(found.count).toBe(found.sets.length);
			})
		);
	});

	it('a table of sums', () => {
		fc.assert(
			fc.property(amounts, target, (list, sum) => {
				const groups = amountGroups(list);
				const shape = sumsTableShape(groups);
				if (!shape) return;
				const found = sumsTable(groups, shape, sum, 5_000);
				expect(texts(found.sets)).toEqual(plainSets(list, sum));
				expect(found.count).toBe(found.sets.length);
			})
		);
	});

	it('sets of up to five, of every largest size', () => {
		fc.assert(
			fc.property(amounts, target, fc.integer({ min: 1, max: 5 }), (list, sum, largest) => {
				const found = smallSets(list, sum, { keep: 5_000, steps: 1e9, largest });
				expect(texts(found.sets)).toEqual(plainSets(list, sum, largest));
				expect(found.count).toBe(found.sets.length);
				expect(found.all).toBe(true);
			}),
			{ numRuns: 400 }
		);
	});

	it('larger sets are sets, and take the earliest of equal amounts', () => {
		fc.assert(
			fc.property(amounts, target, (list, sum) => {
				const found = largeSets(list, sum, { keep: 20, tries: 50 });
				const plain = plainSets(list, sum);
				for (const set of found.sets) expect(plain).toContain(set.join());
			})
		);
	});
});

/** Amounts with odd pennies, always the same. */
function manyAmounts(count: number): number[] {
	let state = 7;
	return Array.from({ length: count }, () => {
		state = (state * 48_271) % 2_147_483_647;
		return 5_000 + (state % 400_000);
	});
}

describe('accounts with many open items', () => {
	it('counts every set of five among two hundred, the meant one among them', () => {
		const list = manyAmounts(200);
		const meant = [3, 50, 90, 120, 199];
		const sum = meant.reduce((total, place) => total + list[place]!, 0);
		const found = smallSets(list, sum, { keep: 100_000, steps: 1e9 });
		expect(found.all).toBe(true);
		expect(found.sets.map((set) => set.join())).toContain(meant.join());
		for (const set of found.sets) expect(set.reduce((total, place) => total + list[place]!, 0)).toBe(sum);
		expect(new Set(texts(found.sets)).size).toBe(found.count);
	});

	it('says "more than" for fifteen among four hundred', () => {
		const list = manyAmounts(400);
		const sum = Array.from({ length: 15 }, (_, i) => list[i * 26]!).reduce((a, b) => a + b, 0);
		const found = findSets(list, sum, { keep: 20, steps: 2e6 });
		expect(found.all).toBe(false);
		expect(found.count).toBeGreaterThanOrEqual(20);
		for (const set of found.sets) expect(set.reduce((total, place) => total + list[place]!, 0)).toBe(sum);
	});

	it('finds all but two among three hundred, and five thousand equal ones', () => {
		const list = manyAmounts(300);
		const total = list.reduce((a, b) => a + b, 0);
		const found = findSets(list, total - list[17]! - list[200]!, { keep: 5, steps: 2e6 });
		const left = found.sets.map((set) =>
			list
				.map((_, i) => i)
				.filter((i) => !set.includes(i))
				.join()
		);
		expect(left).toContain('17,200');
		const equal = findSets(Array(5_000).fill(48_000), 96_000, { keep: 5, steps: 2e6 });
		expect(equal).toEqual({ sets: [[0, 1]], count: 1, all: true });
	});

	it('has no answer for nothing, for nought, and for what cannot be reached', () => {
		expect(findSets([], 100, { keep: 5, steps: 1e6 })).toEqual({ sets: [], count: 0, all: true });
		expect(findSets([0, 0], 0, { keep: 5, steps: 1e6 }).count).toBe(0);
		expect(findSets([100, 250], 99, { keep: 5, steps: 1e6 }).count).toBe(0);
		expect(findSets([1], 1e13, { keep: 5, steps: 1e6 }).count).toBe(0);
	});
});
