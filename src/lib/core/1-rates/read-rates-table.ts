import { day as dayOf, parseDay } from '../day/day';
import { parseTypedDay } from '../day/parse-typed-day';
import { currencyDigits } from '../money/currency';
import type { Problem } from '../problems';
import { err, ok, type Result } from '../result';
import type { TableRow } from '../model/table-row';
import { parseRate } from './parse-rate';
import type { Quote } from './quote';

/** The year is always written. */
const ANY_DAY = dayOf('2026-01-01');
/** Published tables leave a day's rate out like this. */
const NONE = new Set(['', '-', 'N/A', 'n/a']);

/**
 * Reads rates from a table with a column `date`: either with `currency` and `rate`, a row for each, or with a column for
 * each currency, named by its code, as daily reference rates are published. Columns of no currency are left out.
 */
export function readRatesTable(rows: readonly TableRow[]): Result<Quote[]> {
	const quotes: Quote[] = [];
	const problems: Problem[] = [];
	for (const { line, cells } of rows) {
		const text = cells['date'] ?? '';
		// Days in figures of another order than ours could be either of two; a month in words is plain.
		const day = parseDay(text) ?? (hasMonthInWords(text) ? parseTypedDay(text, ANY_DAY) : null);
		if (!day) {
			problems.push({
				code: 'csv-field',
				field: 'date',
				text,
				why: 'it is not a date; write 2026-10-30',
				line
			});
			continue;
		}
		const pairs: (readonly [string, string])[] =
			'rate' in cells ? [[cells['currency'] ?? '', cells['rate'] ?? '']] : Object.entries(cells);
		for (const [name, figure] of pairs) {
			const currency = name.toUpperCase();
			if (currencyDigits(currency) === undefined) {
				if ('rate' in cells)
					problems.push({
						...{ code: 'csv-field', field: 'currency', text: name, line },
						why: 'it is not one of ISO 4217'
					});
				continue;
			}
			if (!('rate' in cells) && NONE.has(figure)) continue;
			const value = parseRate(figure);
			if (value) quotes.push({ line, day, currency, ...value });
			else
				problems.push({
					...{ code: 'csv-field', field: 'rate' in cells ? 'rate' : currency, text: figure, line },
					why: 'it is no rate; write 0.8580'
				});
		}
	}
	if (problems.length === 0 && quotes.length === 0) problems.push({ code: 'part-missing', part: 'rate' });
	return problems.length > 0 ? err(...problems.slice(0, 50)) : ok(quotes);
}

/** Whether letters stand before a year, as in “30 Oct 2026”. */
function hasMonthInWords(text: string): boolean {
	const letters = /[a-z]{3}/i.exec(text);
	return letters !== null && /\d{4}/.test(text.slice(letters.index));
}
