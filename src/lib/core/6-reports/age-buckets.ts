import type { AgeBucket } from '../model/aged';

/** The days at which a bucket ends, where the firm says nothing else. */
export const USUAL_AGE_ENDS: readonly number[] = [30, 60, 90];
/** So many fit a page, and a letter. */
export const MOST_AGE_ENDS = 12;
/** Ten years: older is one bucket to everybody. */
export const LONGEST_AGE = 3660;

/** What is wrong with the days at which buckets end. */
export type AgeEndsFault = 'none' | 'too-many' | 'not-rising' | 'not-days';

/**
 * What keeps days from being the ends of buckets; null where nothing does: whole days from 1 on, each later than the one before, so that
 * buckets neither overlap nor are empty.
 */
export function ageEndsFault(ends: readonly number[]): AgeEndsFault | null {
	if (ends.length === 0) return 'none';
	if (ends.some((end) => !Number.isInteger(end) || end < 1 || end > LONGEST_AGE)) return 'not-days';
	if (ends.length > MOST_AGE_ENDS) return 'too-many';
	return ends.every((end, n) => n === 0 || end > ends[n - 1]!) ? null : 'not-rising';
}

/** Buckets that end at these days: what is not due, one up to each, and what is older than the last. */
export function ageBuckets(ends: readonly number[]): AgeBucket[] {
	return [
		{ from: null, to: 0 },
		...ends.map((to, n) => ({ from: (ends[n - 1] ?? 0) + 1, to })),
		{ from: ends.at(-1)! + 1, to: null }
	];
}

/** Ends as somebody types them, "30, 60, 90"; null for what is no list of whole numbers. */
export function readAgeEnds(text: string): number[] | null {
	const parts = text.split(/[\s,;/]+/).filter((part) => part !== '');
	return parts.every((part) => /^\d{1,5}$/.test(part)) ? parts.map(Number) : null;
}
