import { daysBetween } from '../day/arithmetic';
import type { Day } from '../day/day';
import { BUCKETS, type Aged, type Bucket } from '../model/aged';
import { minor, type Minor } from '../money/minor';

/** Days past due, negative before: 0 on the due day itself, which is not late. */
export function daysLate(due: Day, today: Day): number {
	return daysBetween(due, today);
}

export function bucketOf(due: Day, today: Day): Bucket {
	const late = daysLate(due, today);
	return late <= 0
		? 'not-due'
		: late <= 30
			? 'to-30'
			: late <= 60
				? 'to-60'
				: late <= 90
					? 'to-90'
					: 'over-90';
}

/** Sums open amounts of one currency by age. Credits (negative) stand as not due: they are not late. */
export function age(items: Iterable<{ readonly due: Day; readonly open: Minor }>, today: Day): Aged {
	const sums: Record<Bucket, number> = { 'not-due': 0, 'to-30': 0, 'to-60': 0, 'to-90': 0, 'over-90': 0 };
	for (const { due, open } of items) sums[open < 0 ? 'not-due' : bucketOf(due, today)] += open;
	return Object.fromEntries(BUCKETS.map((bucket) => [bucket, minor(sums[bucket])])) as Aged;
}
