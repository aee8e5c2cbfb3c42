import { and, desc, eq, lte } from 'drizzle-orm';
import type { Day } from '../../../core/day/day';
import { minor, type Minor } from '../../../core/money/minor';
import { proportion } from '../../../core/money/proportion';
import { currencyDigits } from '../../../core/money/currency';
import type { Problem } from '../../../core/problems';
import type { Reader } from '../../platform/db/open';
import { rate } from '../../platform/db/schema';

const MILLION = 1_000_000;

/** Turns amounts of one currency into base currency at the newest rate on or before a day; a problem where there is none. */
export async function baseConverter(
	db: Reader,
	currency: string,
	baseCurrency: string,
	date: Day
): Promise<((amount: Minor) => Minor) | Problem> {
	if (currency === baseCurrency) return (amount) => amount;
	const row = await db
		.select()
		.from(rate)
		.where(and(eq(rate.currency, currency), lte(rate.day, date)))
		.orderBy(desc(rate.day))
		.limit(1)
		.get();
	if (!row) return { code: 'no-rate', currency, date };
	const digits = (currencyDigits(baseCurrency) ?? 2) - (currencyDigits(currency) ?? 2);
	const up = digits > 0 ? 10 ** digits : 1;
	const down = digits < 0 ? 10 ** -digits : 1;
	return (amount) => proportion(minor(amount * up), row.millionths, MILLION * down);
}
