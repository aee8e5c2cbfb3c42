import type { FieldKey } from '../core/1-columns/fields';
import { missingFields } from '../core/1-columns/find-headings';
import { guessColumns } from '../core/1-columns/guess-columns';
import { readNumberAs } from '../core/1-columns/number-form';
import { readAdviceTable } from '../core/2-receipts/advice/read-advice-table';
import { readAdviceText } from '../core/2-receipts/advice/read-advice-text';
import { readAdviceUbl } from '../core/2-receipts/advice/read-advice-ubl';
import type { AdviceLine } from '../core/model/advice';
import { ok, type Result } from '../core/result';
import { openOwnTable } from './read-own-table';

/**
 * Reads a remittance advice in whatever shape it comes: UBL 2.1 RemittanceAdvice, a table with the customer's own headings (CSV, or
 * copied from a spreadsheet), or plain text with a line for each document.
 */
export function readAdvice(text: string, currency: string): Result<AdviceLine[]> {
	if (!text.trim()) return ok([]);
	if (text.trimStart().startsWith('<')) return readAdviceUbl(text, currency);
	return readOwnAdvice(text, currency) ?? ok(readAdviceText(text, currency));
}

/** Null where it is no table of which the columns are told, or one without a line. */
function readOwnAdvice(text: string, currency: string): Result<AdviceLine[]> | null {
	const opened = openOwnTable('advice', { text, file: null }, []);
	if (!opened.ok) return null;
	const { headings, decimalSign, asks } = opened.value.seen;
	// A column of sums that are none is one all the same: it is said what is wrong in it.
	const columns = asks.fields.length > 0 ? guessColumns('advice', headings, []) : opened.value.seen.columns;
	if (missingFields('advice', columns).length > 0) return null;
	const cellOf = (cells: readonly string[], key: FieldKey) => cells[columns[key] ?? -1]?.trim() ?? '';
	// Sums that do not tell how they are written are read one by one, as they are when somebody types them.
	const sumOf = (cells: readonly string[], key: FieldKey) => {
		const written = cellOf(cells, key);
		return (decimalSign && readNumberAs(written, decimalSign)) ?? written;
	};
	const rows = opened.value.rows.map(({ line, cells }) => ({
		line,
		cells: {
			...{ number: cellOf(cells, 'number'), why: cellOf(cells, 'why') },
			...{ paid: sumOf(cells, 'paid'), gross: sumOf(cells, 'gross'), taken_off: sumOf(cells, 'taken_off') }
		}
	}));
	const called = (key: FieldKey) => headings[columns[key] ?? -1]?.toLowerCase();
	const lines = readAdviceTable(rows, currency, {
		...{ paid: called('paid'), gross: called('gross'), taken_off: called('taken_off') }
	});
	return lines.ok && lines.value.length === 0 ? null : lines;
}
