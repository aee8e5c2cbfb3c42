import type { Day } from '../day/day';

/** What a customer said that they would pay. Amounts in minor units of one currency. */
export interface Promised {
	readonly id: number;
	readonly amount: number;
	/** The day on which it was said. */
	readonly madeOn: Day;
	/** The last day on which it is kept. */
	readonly promisedFor: Day;
}

/** What came from them, on a day, in the same currency. */
export interface CameIn {
	readonly day: Day;
	readonly amount: number;
}

/** How a promise stands: not due yet, kept by its day, or after it, in part, or not at all. */
export type PromiseState = 'open' | 'kept' | 'kept_late' | 'part_kept' | 'broken';

export interface PromiseStanding {
	readonly state: PromiseState;
	/** What of it came, by its day or after. */
	readonly came: number;
}

/**
 * How promises stand, by their ids. Money counts once, for the promise that is due first of those that were made by the day it came; what
 * is left of it goes to the next. What came before a promise was made is not what was promised.
 */
export function promiseStates(
	promises: readonly Promised[],
	payments: readonly CameIn[],
	today: Day
): ReadonlyMap<number, PromiseStanding> {
	const byDue = [...promises].sort((a, b) => compare(a.promisedFor, b.promisedFor) || a.id - b.id);
	const [came, inTime] = [new Map<number, number>(), new Map<number, number>()];
	for (const { day, amount } of [...payments].sort((a, b) => compare(a.day, b.day))) {
		let left = amount;
		for (const { id, amount: promised, madeOn, promisedFor } of byDue) {
			if (left <= 0) break;
			if (madeOn > day) continue;
			const taken = Math.min(left, promised - (came.get(id) ?? 0));
			left -= taken;
			came.set(id, (came.get(id) ?? 0) + taken);
			if (day <= promisedFor) inTime.set(id, (inTime.get(id) ?? 0) + taken);
		}
	}
	return new Map(
		promises.map(({ id, amount, promisedFor }) => {
			const all = came.get(id) ?? 0;
			const isKept = (inTime.get(id) ?? 0) >= amount;
			const whole = isKept ? 'kept' : 'kept_late';
			const short = today <= promisedFor ? 'open' : all > 0 ? 'part_kept' : 'broken';
			return [id, { state: all >= amount ? whole : short, came: all }];
		})
	);
}

const compare = (a: string, b: string) => (a < b ? -1 : a > b ? 1 : 0);
