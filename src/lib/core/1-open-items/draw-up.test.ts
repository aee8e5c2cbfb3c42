import fc from 'fast-check';
import { expect, it, test } from 'vitest';
import { day } from '../day/day';
import { minor } from '../money/minor';
import { drawUp } from './draw-up';

const ISSUED = day('2026-10-30');
const line = (net: number, taxBasisPoints = 2000) => ({ text: 'clay', net: minor(net), taxBasisPoints });

it('counts the days of its parts from the end of its month where the terms say so', () => {
	const shares = [
		{ basisPoints: 5_000, days: 0 },
		{ basisPoints: 5_000, days: 30 }
	];
	const { instalments } = drawUp([line(1_000)], day('2026-10-05'), shares, 'month_end');
	expect(instalments.map(({ due }) => due)).toEqual(['2026-10-31', '2026-11-30']);
});

it('a kiln in three instalments: a tenth on order, the rest in halves', () => {
	const shares = [
		{ basisPoints: 1000, days: 0 },
		{ basisPoints: 4500, days: 30 },
		{ basisPoints: 4500, days: 60 }
	];
	expect(drawUp([line(333_333)], ISSUED, shares)).toMatchObject({
		...{ net: 333_333, tax: 66_667, total: 400_000 },
		instalments: [
			{ due: '2026-10-30', amount: 40_000 },
			{ due: '2026-11-29', amount: 180_000 },
			{ due: '2026-12-29', amount: 180_000 }
		]
	});
});

it('each line has its own rate and rounding; a line may take off', () => {
	const { lines, net, tax, total } = drawUp([line(1_003), line(-253), line(500, 0)], ISSUED, [
		{ basisPoints: 10_000, days: 30 }
	]);
	expect(lines.map((one) => one.tax)).toEqual([201, -51, 0]);
	expect([net, tax, total]).toEqual([1250, 150, 1400]);
});

test('the instalments come to the total, whatever the lines and shares', () => {
	const nets = fc.array(fc.integer({ min: 1, max: 10_000_000 }), { minLength: 1, maxLength: 8 });
	const weights = fc.array(fc.integer({ min: 1, max: 10_000 }), { minLength: 1, maxLength: 12 });
	fc.assert(
		fc.property(nets, weights, fc.constantFrom(0, 500, 1950, 2000), (sums, shares, rate) => {
			const drawn = drawUp(
				sums.map((net) => line(net, rate)),
				ISSUED,
				shares.map((basisPoints, i) => ({ basisPoints, days: i * 30 }))
			);
			expect(drawn.total).toBe(drawn.lines.reduce((sum, one) => sum + one.net + one.tax, 0));
			expect(drawn.instalments.reduce((sum, part) => sum + part.amount, 0)).toBe(drawn.total);
		})
	);
});
