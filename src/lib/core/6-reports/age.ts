import { daysBetween } from '../day/arithmetic';
import type { Day } from '../day/day';
import type { AgeBucket, Aged } from '../model/aged';
import { minor, type Minor } from '../money/minor';
import { ageBuckets } from './age-buckets';

/** Days past due, negative before: 0 on the due day itself, which is not late. */
export function daysLate(due: Day, today: Day): number {
	return daysBetween(due, today);
}

/** Whether so many days are within a bucket. */
export function isOfAge({ from, to }: AgeBucket, days: number): boolean {
	return (from === null || days >= from) && (to === null || days <= to);
}

/**
 * Sums open amounts of one currency by age. Credits (negative) stand as not due: they are not late.
 * @param ends the days at which buckets end (`ageEndsFault`)
 */
export function age(
	items: Iterable<{ readonly due: Day; readonly open: Minor }>,
	today: Day,
	ends: readonly number[]
): Aged {
	const buckets = ageBuckets(ends);
	const sums = buckets.map(() => 0);
	for (const { due, open } of items) {
		const days = open < 0 ? 0 : daysLate(due, today);
		sums[buckets.findIndex((bucket) => isOfAge(bucket, days))]! += open;
	}
	return buckets.map((bucket, n) => ({ ...bucket, sum: minor(sums[n]!) }));
}
