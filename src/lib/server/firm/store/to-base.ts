import { and, desc, eq, lte } from 'drizzle-orm';
import { acrossRates, ONE } from '../../../core/1-rates/across-rates';
import type { Day } from '../../../core/day/day';
import type { Minor } from '../../../core/money/minor';
import type { Problem } from '../../../core/problems';
import type { Reader } from '../../platform/db/open';
import { rate } from '../../platform/db/schema';

/** The rate by which a currency is turned into base currency on a day. */
export interface RateUsed {
	readonly currency: string;
	/** Base currency for one unit, × 1,000,000. */
	readonly millionths: number;
	/** The day that it is of, the newest on or before; null for the base currency itself. */
	readonly day: Day | null;
	/** Where it came from: a file, or who typed it; empty where that was not kept. */
	readonly source: string;
}

/** The newest rate of a currency on or before a day; null where there is none. */
export async function rateUsed(
	db: Reader,
	currency: string,
	baseCurrency: string,
	date: Day
): Promise<RateUsed | null> {
	if (currency === baseCurrency) return { currency, millionths: ONE, day: null, source: '' };
	const row = await db
		.select({ currency: rate.currency, millionths: rate.millionths, day: rate.day, source: rate.source })
		.from(rate)
		.where(and(eq(rate.currency, currency), lte(rate.day, date)))
		.orderBy(desc(rate.day))
		.limit(1)
		.get();
	return row ?? null;
}

/** Turns amounts of one currency into base currency at the newest rate on or before a day; a problem where there is none. */
export async function baseConverter(
	db: Reader,
	currency: string,
	baseCurrency: string,
	date: Day
): Promise<((amount: Minor) => Minor) | Problem> {
	const used = await rateUsed(db, currency, baseCurrency, date);
	if (!used) return { code: 'no-rate', currency, date };
	const base = { currency: baseCurrency, millionths: ONE };
	return (amount) => acrossRates(amount, used, base);
}
