import { day, type Day } from '../../../core/day/day';
import { minor, type Minor } from '../../../core/money/minor';
import type { Tx } from '../../platform/db/open';
import { DomainError } from '../../act/domain-error';
import { firstOpenDay } from '../../periods/store/check-period';
import { readSetting } from '../../firm/store/settings';
import { baseConverter } from '../../firm/store/to-base';

/** The day the bank booked it, or the first open day where that one is locked: the bank's day cannot be chosen. */
export async function accountingDate(tx: Tx, booked: Day): Promise<Day> {
	const first = await firstOpenDay(tx);
	return first && booked < first ? first : booked;
}

/**
 * The accounting day and base value of a receipt's money: the bank's day and its rate; or today and the value that it has
 * among unidentified receipts, where it was booked before its payer was found.
 */
export async function moneyOf(
	tx: Tx,
	row: { readonly booked: Day; readonly amount: number; readonly currency: string },
	state: { readonly unidentifiedActId: number | null; readonly unidentifiedBase: number | null },
	today: Day
): Promise<{ date: Day; base: Minor }> {
	if (state.unidentifiedActId !== null)
		return { date: await accountingDate(tx, today), base: minor(state.unidentifiedBase!) };
	const date = await accountingDate(tx, row.booked);
	return { date, base: await baseOf(tx, row.currency, row.amount, date) };
}

/** A day that a person chose, refused where it is locked; today where none was chosen. */
export async function chosenDate(tx: Tx, chosen: string | null, today: Day): Promise<Day> {
	const date = chosen === null ? today : day(chosen);
	const first = await firstOpenDay(tx);
	if (first && date < first) throw new DomainError({ code: 'period-locked', date, firstOpen: first });
	return date;
}

/** Turns amounts of a currency into base currency at the rate of a day; refuses where there is none. */
export async function converter(tx: Tx, currency: string, date: Day): Promise<(amount: Minor) => Minor> {
	const base = (await readSetting(tx, 'firm'))?.baseCurrency ?? currency;
	const convert = await baseConverter(tx, currency, base, date);
	if (typeof convert !== 'function') throw new DomainError(convert);
	return convert;
}

/** Base value of an amount at the rate of its accounting day. */
export async function baseOf(tx: Tx, currency: string, value: number, date: Day): Promise<Minor> {
	return (await converter(tx, currency, date))(minor(value));
}
