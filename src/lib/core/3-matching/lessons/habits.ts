import { compareText } from '../../compare-text';
import type { AllocationLesson } from './lesson-of';

/** How a customer pays, as far as earlier payments show it. Each lesson tells from how many payments it was learned. */
export interface Habits {
	/** Where there was a choice, how often the oldest was paid and how often not. */
	readonly oldestFirst: { readonly times: number; readonly not: number };
	/** How often all was paid that was due by a day, three items or more, and how many payments there were. */
	readonly byStatement: { readonly times: number; readonly of: number };
	/** How often round sums were laid on the oldest, the last of them in part. */
	readonly fillsOldest: { readonly times: number; readonly of: number };
	/** How often a discount was granted after its last day, and the most days after it. */
	readonly lateDiscount: { readonly times: number; readonly days: number };
	/** Bank charges that were borne more than once, in minor units by currency, with how often. */
	readonly charges: readonly { readonly amount: number; readonly currency: string; readonly times: number }[];
	/** Shares of the gross, in basis points, that were withheld as tax more than once, with how often. */
	readonly taxRates: readonly { readonly basisPoints: number; readonly times: number }[];
}

export type Lesson = keyof Habits;

/** One payment may have been allocated wrongly, and two by chance: so many alike are a habit. */
export const HABIT = 3;
/** So many without a single exception may make an answer certain. */
export const FIRM_HABIT = 6;
/** A sum that banks kept as often as this is one that they keep. */
const USUAL = 2;

/** What one payment taught, and in what currency. */
export type Taught = AllocationLesson & { readonly currency: string };

/** What a customer's payments of the past show together, in any order. */
export function learnHabits(past: readonly Taught[]): Habits {
	const times = (when: (one: Taught) => boolean) => past.filter(when).length;
	const late = past.flatMap(({ discountDaysLate: days }) => (days !== null && days > 0 ? [days] : []));
	const charges = counted(
		past.flatMap((one) => (one.bankCharge ? [`${one.bankCharge} ${one.currency}`] : []))
	);
	const rates = counted(past.flatMap(({ taxBasisPoints: rate }) => (rate ? [String(rate)] : [])));
	return {
		oldestFirst: {
			times: times((one) => one.choice === 'oldest'),
			not: times((one) => one.choice === 'other')
		},
		byStatement: { times: times((one) => one.wholeUpTo), of: past.length },
		fillsOldest: { times: times((one) => one.filled), of: past.length },
		lateDiscount: { times: late.length, days: Math.max(0, ...late) },
		charges: charges.map(([key, n]) => {
			const [amount, currency] = key.split(' ');
			return { amount: Number(amount), currency: currency!, times: n };
		}),
		taxRates: rates.map(([rate, n]) => ({ basisPoints: Number(rate), times: n }))
	};
}

/** What stands in a list twice or more, the most frequent first, with how often. */
function counted(list: readonly string[]): [string, number][] {
	const counts = new Map<string, number>();
	for (const one of list) counts.set(one, (counts.get(one) ?? 0) + 1);
	return [...counts].filter(([, n]) => n >= USUAL).sort(([a, n], [b, m]) => m - n || compareText(a, b));
}

export const NO_HABITS: Habits = {
	oldestFirst: { times: 0, not: 0 },
	byStatement: { times: 0, of: 0 },
	fillsOldest: { times: 0, of: 0 },
	lateDiscount: { times: 0, days: 0 },
	charges: [],
	taxRates: []
};

/** Whether they take the oldest where there is a choice: always, so far, and often enough. */
export function paysOldestFirst({ oldestFirst }: Habits, least = HABIT): boolean {
	return oldestFirst.times >= least && oldestFirst.not === 0;
}

/** Whether most of their payments are all that was due by a day. */
export function paysByStatement({ byStatement }: Habits): boolean {
	return byStatement.times >= HABIT && byStatement.times * 2 > byStatement.of;
}

/** Whether they pay sums of their own choosing on the oldest. */
export function paysOntoOldest({ fillsOldest }: Habits): boolean {
	return fillsOldest.times >= HABIT && fillsOldest.times * 2 > fillsOldest.of;
}

/** Days after its last day on which a discount was granted to them before; nought without a habit. */
export function discountDaysAllowed({ lateDiscount }: Habits): number {
	return lateDiscount.times >= HABIT ? lateDiscount.days : 0;
}

/** Lessons that are learned well enough to be used, in the order of `Habits`. */
export function lessonsOf(habits: Habits): Lesson[] {
	const used: Readonly<Record<Lesson, boolean>> = {
		oldestFirst: paysOldestFirst(habits),
		byStatement: paysByStatement(habits),
		fillsOldest: paysOntoOldest(habits),
		lateDiscount: discountDaysAllowed(habits) > 0,
		charges: habits.charges.length > 0,
		taxRates: habits.taxRates.length > 0
	};
	return LESSONS.filter((lesson) => used[lesson]);
}

/** What a lesson takes from a payment; the rest of the payment may go on teaching others. */
export function without(taught: Taught, lesson: Lesson): Taught {
	switch (lesson) {
		case 'oldestFirst':
			return { ...taught, choice: null };
		case 'byStatement':
			return { ...taught, wholeUpTo: false };
		case 'fillsOldest':
			return { ...taught, filled: false };
		case 'lateDiscount':
			return { ...taught, discountDaysLate: null };
		case 'charges':
			return { ...taught, bankCharge: null };
		case 'taxRates':
			return { ...taught, taxBasisPoints: null };
		default:
			return lesson satisfies never;
	}
}

export const LESSONS = [
	'oldestFirst',
	'byStatement',
	'fillsOldest',
	'lateDiscount',
	'charges',
	'taxRates'
] as const satisfies readonly Lesson[];
