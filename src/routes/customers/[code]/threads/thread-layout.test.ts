import fc from 'fast-check';
import { describe, expect, it, test } from 'vitest';
import { layThreads } from './thread-layout';

const link = (id: number, from: string, to: string, amount: number, ghost = false) => ({
	id,
	from,
	to,
	amount,
	ghost
});

describe('threads', () => {
	it('bars are as high as their amounts, ribbons as thick as theirs', () => {
		const { left, right, ribbons } = layThreads(
			[{ key: 'r1', amount: 100 }],
			[
				{ key: 'a', amount: 60 },
				{ key: 'b', amount: 40 }
			],
			[link(1, 'r1', 'b', 40), link(2, 'r1', 'a', 60)],
			400
		);
		expect(left).toEqual([{ key: 'r1', y: 0, height: 400 }]);
		expect(right.map((bar) => [bar.y, bar.height])).toEqual([
			[0, 240],
			[246, 160]
		]);
		// In the order of the items, not of the links.
		expect(ribbons).toEqual([
			{ id: 1, left: [240, 400], right: [246, 406] },
			{ id: 2, left: [0, 240], right: [0, 240] }
		]);
	});
	it('a penny is still a line of text high', () => {
		const { left } = layThreads(
			[
				{ key: 'r1', amount: 1 },
				{ key: 'r2', amount: 99_999 }
			],
			[],
			[],
			300
		);
		expect(left[0]!.height).toBe(20);
	});
	it('ghosts take no room from those that stand', () => {
		const ends = [{ key: 'a', amount: 10 }];
		const { ribbons } = layThreads(
			[{ key: 'r', amount: 10 }],
			ends,
			[link(1, 'r', 'a', 10, true), link(2, 'r', 'a', 10)],
			100
		);
		expect(ribbons.map((one) => one.left)).toEqual([
			[0, 100],
			[0, 100]
		]);
	});
	it('nothing is nothing', () => {
		expect(layThreads([], [], [link(1, 'x', 'y', 5)], 100)).toEqual({
			left: [],
			right: [],
			ribbons: [],
			height: 0
		});
	});
	test('no ribbon leaves its bar, and those that stand do not overlap', () => {
		const amounts = fc.array(fc.integer({ min: 1, max: 1_000_000 }), { minLength: 1, maxLength: 12 });
		fc.assert(
			fc.property(amounts, amounts, (sums, totals) => {
				// Oldest first: each money goes on until the items are full.
				const left = sums.map((amount, i) => ({ key: `r${i}`, amount }));
				const right = totals.map((amount, i) => ({ key: `i${i}`, amount }));
				const links: ReturnType<typeof link>[] = [];
				const open = [...totals];
				for (const [i, sum] of sums.entries()) {
					let rest = sum;
					for (const [k] of totals.entries()) {
						const part = Math.min(rest, open[k]!);
						if (part <= 0) continue;
						open[k]! -= part;
						rest -= part;
						links.push(link(links.length, `r${i}`, `i${k}`, part));
					}
				}
				const laid = layThreads(left, right, links, 500);
				for (const [side, ends] of [
					['left', laid.left],
					['right', laid.right]
				] as const)
					for (const bar of ends) {
						const own = laid.ribbons
							.filter((one) => links[one.id]![side === 'left' ? 'from' : 'to'] === bar.key)
							.map((one) => one[side])
							.sort((a, b) => a[0] - b[0]);
						for (const [k, [top, bottom]] of own.entries()) {
							expect(top).toBeGreaterThanOrEqual(bar.y - 1e-6);
							expect(bottom).toBeLessThanOrEqual(bar.y + bar.height + 1e-6);
							if (k > 0) expect(top).toBeGreaterThanOrEqual(own[k - 1]![1] - 1e-6);
						}
					}
			})
		);
	});
});
