import { and, desc, eq, gte, inArray, lt, lte } from 'drizzle-orm';
import type { Day } from '../../../core/day/day';
import { chunks } from '../../platform/db/chunks';
import type { Reader } from '../../platform/db/open';
import { rate } from '../../platform/db/schema';

/** Rates on file for the days given, by "currency day". */
export async function ratesOn(db: Reader, days: readonly Day[]): Promise<ReadonlyMap<string, number>> {
	const found = new Map<string, number>();
	for (const part of chunks([...new Set(days)]))
		for (const row of await db.select().from(rate).where(inArray(rate.day, part)))
			found.set(`${row.currency} ${row.day}`, row.millionths);
	return found;
}

/** The newest rate of a currency before a day, or null. */
export async function rateBefore(db: Reader, currency: string, day: Day): Promise<number | null> {
	const row = await db
		.select({ millionths: rate.millionths })
		.from(rate)
		.where(and(eq(rate.currency, currency), lt(rate.day, day)))
		.orderBy(desc(rate.day))
		.limit(1)
		.get();
	return row?.millionths ?? null;
}

/** All rates between two days, both included, newest first. */
export async function ratesBetween(db: Reader, from: Day, to: Day) {
	return db
		.select({ currency: rate.currency, day: rate.day, millionths: rate.millionths })
		.from(rate)
		.where(and(gte(rate.day, from), lte(rate.day, to)))
		.orderBy(desc(rate.day), rate.currency);
}
