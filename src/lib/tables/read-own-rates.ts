import { readDayAs } from '../core/1-columns/day-form';
import { guessColumns } from '../core/1-columns/guess-columns';
import { decimalSignOf, readNumberAs } from '../core/1-columns/number-form';
import { currencyDigits } from '../core/money/currency';
import type { TableRow } from '../core/model/table-row';
import type { Quote } from '../core/1-rates/quote';
import { readRatesTable } from '../core/1-rates/read-rates-table';
import { err, type Result } from '../core/result';
import { openOwnTable } from './read-own-table';

/**
 * Reads exchange rates from a table with a publisher's own headings, dates and decimals: a row for each rate, or a column for each
 * currency. What the table as a whole does not tell is not guessed: days that could be two, and numbers that could, are refused.
 */
export function readOwnRates(text: string): Result<Quote[]> {
	const opened = openOwnTable('rates', { text, file: null }, []);
	if (!opened.ok) return opened;
	const { headings, line, dayOrder, columns: told } = opened.value.seen;
	// A column of rates that are none is one all the same: it is said what is wrong in it.
	const columns = { ...guessColumns('rates', headings, []), ...told };
	const dayAt = columns.rate_day;
	if (dayAt === undefined)
		return err({ code: 'csv-column-missing', columns: ['date'], found: [...headings], line });
	// Where no column is the rates', there is one for each currency, called by its code.
	const ratesAt =
		columns.rate === undefined
			? headings.flatMap((heading, at) =>
					currencyDigits(heading.trim().toUpperCase()) === undefined ? [] : [at]
				)
			: [columns.rate];
	const cell = (cells: readonly string[], at: number | undefined) => cells[at ?? -1]?.trim() ?? '';
	const sign = decimalSignOf(
		opened.value.rows.flatMap(({ cells }) => ratesAt.map((at) => cell(cells, at)).filter(Boolean))
	);
	const dayOf = (text: string) => (dayOrder && readDayAs(text, dayOrder)) ?? text;
	const rateOf = (text: string) => (sign && sign !== 'either' ? readNumberAs(text, sign) : null) ?? text;
	const rows = opened.value.rows.map(({ line, cells: given }): TableRow => {
		const cells: Record<string, string> =
			columns.rate === undefined
				? Object.fromEntries(ratesAt.map((at) => [headings[at]!.trim(), rateOf(cell(given, at))]))
				: { currency: cell(given, columns.currency), rate: rateOf(cell(given, columns.rate)) };
		return { line, cells: { ...cells, date: dayOf(cell(given, dayAt)) } };
	});
	return readRatesTable(rows);
}
