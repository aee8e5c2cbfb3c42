import { daysBetween } from '../day/arithmetic';
import { minor, type Minor } from '../money/minor';
import type { DayCount } from './interest-terms';
import type { LateSpan } from '../model/late-span';

/** The days of a span, both ends among them. */
export const daysOf = ({ from, to }: Pick<LateSpan, 'from' | 'to'>): number => daysBetween(from, to) + 1;

/**
 * Simple interest on what was late: amount × rate × days, over the days of a year, summed exactly and rounded once, half away from zero.
 * @returns minor units of the spans' currency
 */
export function interestOf(spans: readonly LateSpan[], dayCount: DayCount): Minor {
	const sum = spans.reduce(
		(all, span) => all + BigInt(span.open) * BigInt(span.basisPoints) * BigInt(daysOf(span)),
		0n
	);
	const whole = BigInt(dayCount) * 10_000n;
	return minor(Number((2n * sum + whole) / (2n * whole)));
}
