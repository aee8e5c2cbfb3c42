import { parseDay, type Day } from '../day/day';
import { parseDecimal } from '../money/parse-decimal';
import type { Minor } from '../money/minor';
import type { Problem } from '../problems';
import { cutText } from '../text/cut-text';
import type { TableRow } from '../model/table-row';

const AMOUNT_FAULTS: Readonly<Record<string, string>> = {
	'unknown-currency': 'its currency is not one of ISO 4217',
	'not-a-number': 'it is not an amount; write 1043.20, without sign or grouping',
	'too-many-decimals': 'it has more decimals than the currency',
	'too-large': 'it is too large'
};

/** Parts of one field. */
const MOST_PARTS = 500;

/** Reads the fields of one row, noting every one that does not fit. */
export class Fields {
	constructor(
		readonly row: TableRow,
		readonly problems: Problem[]
	) {}

	text(column: string): string {
		return this.row.cells[column] ?? '';
	}

	fault(column: string, why: string): void {
		this.problems.push({
			code: 'csv-field',
			field: column,
			text: cutText(this.text(column), 100),
			why,
			line: this.row.line
		});
	}

	/** @param most characters: what tells one thing from another is never cut */
	required(column: string, most: number): string {
		const text = this.text(column);
		if (!text) this.fault(column, 'it is empty');
		return this.#bounded(column, text, most);
	}

	/** @param most characters */
	optional(column: string, most = 140): string | null {
		return this.#bounded(column, this.text(column), most) || null;
	}

	/** What is only read by people: longer text is cut, with a mark. */
	words(column: string, most: number): string {
		return cutText(this.text(column), most);
	}

	#bounded(column: string, text: string, most: number): string {
		if (text.length > most) this.fault(column, `it is longer than ${most} characters`);
		return text;
	}

	/** Parts separated by a bar. */
	list(column: string): string[] {
		const parts = this.text(column)
			.split('|')
			.map((part) => part.trim())
			.filter(Boolean);
		if (parts.length > MOST_PARTS) this.fault(column, `it has more than ${MOST_PARTS} parts`);
		for (const part of parts) this.#bounded(column, part, 200);
		return parts;
	}

	whole(column: string, least: number, most: number): number | null {
		const text = this.text(column);
		if (!text) return null;
		const value = /^\d+$/.test(text) ? Number(text) : NaN;
		if (value >= least && value <= most) return value;
		this.fault(column, `it is no whole number from ${least} to ${most}`);
		return null;
	}

	/** A number with up to two decimals, in hundredths: a percentage in basis points. */
	hundredths(column: string, most: number): number | null {
		const text = this.text(column);
		if (!text) return null;
		const found = /^(\d+)(?:\.(\d{1,2})0*)?$/.exec(text);
		const value = found ? Number(found[1]) * 100 + Number((found[2] ?? '').padEnd(2, '0')) : NaN;
		if (value <= most * 100) return value;
		this.fault(column, `it is no number from 0 to ${most} with at most two decimals`);
		return null;
	}

	day(column: string): Day | null {
		const day = parseDay(this.text(column));
		if (!day) this.fault(column, 'it is not a date; write 2026-10-30');
		return day;
	}

	amount(column: string, currency: string): Minor | null {
		const value = parseDecimal(this.text(column), currency);
		if (typeof value !== 'string') return value;
		this.fault(column, AMOUNT_FAULTS[value] ?? value);
		return null;
	}
}
