import { z } from 'zod';
import { DAY_COUNTS } from '../../../core/9-interest/interest-terms';
import { dayField, sumField } from '../../act/fields';

const RATE = z
	.number('Give the rate in per cent.')
	.int('A rate has two decimals at most.')
	.min(0, 'A rate is zero or more.')
	.max(10_000, 'A rate is 100 per cent at most.');

/** Whether each of a list comes after the one before it. */
const rises = (values: readonly (string | number)[]) =>
	values.every((value, n) => n === 0 || value > values[n - 1]!);

/** On which terms a firm charges interest on what is overdue. */
export const INTEREST_SHAPE = z.object({
	/** Raised by each change. */
	version: z.number().int().min(0),
	/** The first day that interest is charged for. */
	since: dayField,
	dayCount: z.union(DAY_COUNTS.map((days) => z.literal(days))),
	graceDays: z.number('Give the days as a whole number.').int().min(0).max(365),
	/** What an account's interest has to come to, in base currency. */
	least: sumField,
	/** Statutory interest: what is added to the reference rate, and the reference rates by their first day. */
	margin: RATE,
	reference: z
		.array(z.object({ from: dayField, basisPoints: RATE }))
		.min(1, 'Give a reference rate: without one nothing can be reckoned.')
		.max(200)
		.refine((rates) => rises(rates.map((one) => one.from)), 'Each rate begins after the one before it.'),
	/** What is charged once for each invoice, by what was late of it, in base currency. */
	compensation: z
		.array(z.object({ from: sumField, amount: sumField }))
		.max(20)
		.refine((bands) => rises(bands.map((one) => one.from)), 'Each band begins above the one before it.'),
	onInterest: z.boolean()
});
