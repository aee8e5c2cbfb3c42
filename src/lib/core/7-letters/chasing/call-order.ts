/** What is known of an account that may be called. Amounts in minor units of the base currency. */
export interface CallFacts {
	/** What is overdue, less credits. */
	readonly amount: number;
	/** Days since the oldest fell due. */
	readonly daysLate: number;
	/** Promises that were kept by their day, of those that are over. */
	readonly kept: number;
	readonly made: number;
}

/** What a call may bring, and by which weights. */
export interface CallWorth {
	readonly worth: number;
	readonly age: number;
	readonly habit: number;
}

/** How much more a call is worth the older a debt is, up to when it is hardly paid any more. By days since it fell due. */
const AGES: readonly (readonly [number, number])[] = [
	[14, 0.8],
	[30, 1],
	[60, 1.3],
	[90, 1.5],
	[180, 1.2],
	[Infinity, 0.8]
];

/**
 * What a call may bring: the amount, weighted by its age and by how promises were kept. Half of them kept, or none made, weighs 1; each
 * more or less moves it, with one of each thought in so that a single promise says little (Laplace's rule of succession).
 */
export function callWorth({ amount, daysLate, kept, made }: CallFacts): CallWorth {
	const age = AGES.find(([most]) => daysLate <= most)![1];
	const habit = (2 * (kept + 1)) / (made + 2);
	return { worth: Math.round(Math.max(0, amount) * age * habit), age, habit };
}
