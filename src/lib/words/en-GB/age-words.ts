import type { AgeEndsFault } from '../../core/6-reports/age-buckets';
import { LONGEST_AGE, MOST_AGE_ENDS } from '../../core/6-reports/age-buckets';
import type { AgeBucket } from '../../core/model/aged';

/** A bucket at the head of a column: "1–30 days", "Over 90 days". @param since what is counted from: the due day, or the day of issue */
export function bucketName({ from, to }: AgeBucket, since: 'due' | 'issued' = 'due'): string {
	if (from === null) return since === 'due' ? 'Not due' : 'Of the day';
	if (to === null) return `Over ${from - 1} days`;
	return from === to ? `${from} ${from === 1 ? 'day' : 'days'}` : `${from}–${to} days`;
}

/** What is wrong with the days at which buckets end. */
export function ageEndsSentence(fault: AgeEndsFault): string {
	switch (fault) {
		case 'none':
			return 'Give the days at which each bucket ends, such as 30, 60, 90.';
		case 'not-days':
			return `Give whole days from 1 to ${LONGEST_AGE}, such as 30, 60, 90.`;
		case 'too-many':
			return `Give ${MOST_AGE_ENDS} days at the most: more columns fit no page.`;
		case 'not-rising':
			return 'Give the days in order, each later than the one before: buckets must not overlap.';
	}
}
