import type { PastPayment } from '../model/past-payment';

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

/** One payment may have been placed wrongly, and two by chance: so many alike are a habit. */
export const HABIT = 3;
/** So many without a single exception may make an answer certain. */
export const FIRM_HABIT = 6;
/** A sum that banks kept as often as this is one that they keep. */
const USUAL = 2;

/** What a customer's payments of the past show, in any order; lessons that are forgotten are left empty. */
export function learnHabits(past: readonly PastPayment[], forgotten: readonly Lesson[] = []): Habits {
	const times = (when: (one: PastPayment) => boolean) => past.filter(when).length;
	const late = past.flatMap((one) => (one.discountDaysLate && one.discountDaysLate > 0 ? [one] : []));
	const charges = new Map<string, { amount: number; currency: string; times: number }>();
	for (const { currency, difference } of past) {
		if (difference?.kind !== 'bank_charge') continue;
		const key = `${difference.amount} ${currency}`;
		charges.set(key, {
			...{ amount: difference.amount, currency },
			times: (charges.get(key)?.times ?? 0) + 1
		});
	}
	const rates = new Map<number, number>();
	for (const { amount, difference } of past) {
		if (difference?.kind !== 'withholding_tax') continue;
		const rate = Math.round((10_000 * difference.amount) / (amount + difference.amount));
		rates.set(rate, (rates.get(rate) ?? 0) + 1);
	}
	const all: Habits = {
		oldestFirst: {
			times: times((one) => one.choice === 'oldest'),
			not: times((one) => one.choice === 'other')
		},
		byStatement: { times: times((one) => one.wholeUpTo === true), of: past.length },
		fillsOldest: { times: times((one) => one.filled === true), of: past.length },
		lateDiscount: {
			times: late.length,
			days: late.reduce((most, one) => Math.max(most, one.discountDaysLate!), 0)
		},
		charges: [...charges.values()]
			.filter((one) => one.times >= USUAL)
			.sort((a, b) => b.times - a.times || a.amount - b.amount || (a.currency < b.currency ? -1 : 1)),
		taxRates: [...rates]
			.map(([basisPoints, times]) => ({ basisPoints, times }))
			.filter(({ times }) => times >= USUAL)
			.sort((a, b) => b.times - a.times || a.basisPoints - b.basisPoints)
	};
	return {
		oldestFirst: forgotten.includes('oldestFirst') ? NO_HABITS.oldestFirst : all.oldestFirst,
		byStatement: forgotten.includes('byStatement') ? NO_HABITS.byStatement : all.byStatement,
		fillsOldest: forgotten.includes('fillsOldest') ? NO_HABITS.fillsOldest : all.fillsOldest,
		lateDiscount: forgotten.includes('lateDiscount') ? NO_HABITS.lateDiscount : all.lateDiscount,
		charges: forgotten.includes('charges') ? NO_HABITS.charges : all.charges,
		taxRates: forgotten.includes('taxRates') ? NO_HABITS.taxRates : all.taxRates
	};
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
	return (Object.keys(used) as Lesson[]).filter((lesson) => used[lesson]);
}
