import { daysOf } from '../core/9-interest/interest-of';
import type { InterestSheet } from '../core/9-interest/interest-sheet';
import { plainAmount } from './plain-amount';

/** The sheet of an account as its table needs it. */
export interface InterestToWrite extends InterestSheet {
	readonly code: string;
	readonly name: string;
	readonly currency: string;
	readonly numbers: Readonly<Record<number, string>>;
}

/** Sheets as a table for a spreadsheet: what is charged stands at an item's first row, so that the column comes to the sum. */
export function interestTable(sheets: readonly InterestToWrite[]): {
	readonly headings: readonly string[];
	readonly rows: readonly (readonly (string | number)[])[];
} {
	const headings = [
		...['Account', 'Customer', 'Document', 'What', 'From', 'To', 'Days'],
		...['Overdue', 'Rate a year, %', 'Charged', 'Currency']
	];
	const rows = sheets.flatMap((sheet) => {
		const { code, name, currency, numbers } = sheet;
		const row = (itemId: number, what: string, ...cells: readonly (string | number)[]) => [
			...[code, name, numbers[itemId] ?? '', what],
			...cells,
			currency
		];
		return [
			...sheet.rows.flatMap(({ itemId, spans, amount, compensation }) => [
				...spans.map((span, n) =>
					row(
						itemId,
						'interest',
						...[span.from, span.to, daysOf(span), plainAmount(span.open, currency)],
						...[(span.basisPoints / 100).toFixed(2), n === 0 ? plainAmount(amount, currency) : '']
					)
				),
				...(compensation > 0
					? [row(itemId, 'compensation', '', '', '', '', '', plainAmount(compensation, currency))]
					: [])
			]),
			...sheet.corrections.map((one) =>
				row(
					one.itemId,
					'correction',
					...[one.from, one.to, daysOf(one), '', ''],
					plainAmount(one.shouldBe - one.charged, currency)
				)
			)
		];
	});
	return { headings, rows };
}
