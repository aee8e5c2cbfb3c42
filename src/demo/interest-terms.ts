import { day } from '../lib/core/day/day';
import { minor } from '../lib/core/money/minor';

/** Statutory interest since September, fixed compensation with it; nothing was charged yet. */
export const INTEREST_TERMS = {
	...{ version: 0, since: day('2026-09-01'), dayCount: 365 as const, graceDays: 0 },
	...{ least: minor(500), margin: 800, onInterest: false },
	reference: [
		{ from: day('2026-01-01'), basisPoints: 400 },
		{ from: day('2026-07-01'), basisPoints: 375 }
	],
	compensation: [
		{ from: minor(0), amount: minor(4_000) },
		{ from: minor(100_000), amount: minor(7_000) },
		{ from: minor(1_000_000), amount: minor(10_000) }
	]
};
