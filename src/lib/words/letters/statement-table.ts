import type { Letter } from '../../core/7-letters/letter';
import { plainAmount } from '../plain-amount';
import { letterWordsOf } from './letter-words-of';

/** A statement as a table for a spreadsheet: the lines of the paper in the customer's language; its last column comes to the balance. */
export function statementTable(letter: Letter): {
	readonly headings: readonly string[];
	readonly rows: readonly (readonly (string | number)[])[];
} {
	const words = letterWordsOf(letter.language);
	const { columns, facts } = words;
	const { currency } = letter;
	const sum = (value: number) => plainAmount(value, currency);
	if (letter.activity) {
		const { opening, movements } = letter.activity;
		return {
			headings: [columns.date, columns.document, columns.details, columns.amount(currency)],
			rows: [
				[letter.statement?.from ?? '', '', words.broughtForward, sum(opening)],
				...movements.map((one) => [one.date, one.reference, words.movement(one), sum(one.amount)])
			]
		};
	}
	return {
		headings: [
			...[columns.document, columns.date, columns.due, facts.yourOrder, columns.details],
			...[columns.total(currency), columns.paid(currency), columns.open(currency)]
		],
		rows: letter.rows.map((row) => [
			...[row.number || words.onAccount, row.issued, row.due ?? '', row.purchaseOrder ?? '', row.text],
			...[sum(row.total), sum(row.total - row.open), sum(row.open)]
		])
	};
}
